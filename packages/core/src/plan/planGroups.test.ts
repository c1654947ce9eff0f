import type { PlanGroup, PlannedBin } from '../household';
import { groupOfPlan, inNewGroups, isBinOf, planGroupId } from './planGroups';

const old: PlanGroup = { name: 'lanterns', volumeMl: 9000, grams: 400 };
const group: PlanGroup = { ...old, id: 'own:lanterns', binIds: ['b1'] };
const bin = (of: string | null) => ({ key: 'p0', group: of }) as PlannedBin;

describe('groups of plans, of today and of before they had ids', () => {
  it('goes by the id, or by the name where there is none', () => {
    expect([planGroupId(group), planGroupId(old)]).toEqual(['own:lanterns', 'lanterns']);
    expect(groupOfPlan({ groups: [old, group] }, 'own:lanterns')).toBe(group);
    expect(groupOfPlan({ groups: [group] }, 'lanterns')).toBeNull();
  });
  it('the bins a group fills, whatever they are called', () => {
    expect(isBinOf(group, { id: 'b1', name: 'fair lights' })).toBe(true);
    expect(isBinOf(group, { id: 'b2', name: 'lanterns' })).toBe(false);
    expect(isBinOf(old, { id: 'b2', name: 'lanterns' })).toBe(true);
  });
  it.each<[string, string | null, string | null]>([
    ['a name of before becomes the id', 'lanterns', 'own:lanterns'],
    ['an id stays', 'own:lanterns', 'own:lanterns'],
    ['a group that is no longer there stays as it was', 'own:tents', 'own:tents'],
    ['none', null, null],
  ])('locked bins: %s', (_, before, after) => expect(inNewGroups([bin(before)], [group])).toEqual([bin(after)]));
});
