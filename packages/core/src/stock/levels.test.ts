import { applyCommand } from '../household';
import { AS_ADULT, idMaker, itemFields, sampleHome } from '../household/sampleHome.test-support';
import { amountByWeight, opsForLevel } from './levels';

const item = (unit: string, weightGrams: number | null = null) => ({
  ...itemFields({ unit, traits: { weightGrams, volumeMl: null, textile: null, groups: {} } }),
  id: 'x',
  seq: 1,
  retired: false,
});

describe('on a scale', () => {
  it.each([
    ['kg', null, 1450, 250, { kind: 'amount', thousandths: 1200 }],
    ['g', null, 1450, 250, { kind: 'amount', thousandths: 1_200_000 }],
    // Common practice of counting scales: (gross − tare) / weight of one, to the nearest whole one.
    ['piece', 12, 500, 140, { kind: 'amount', thousandths: 30_000 }],
    ['piece', 12, 503, 140, { kind: 'amount', thousandths: 30_000 }],
    ['piece', null, 500, 140, { kind: 'weight_unknown' }],
    ['l', null, 500, 140, { kind: 'weight_unknown' }],
    ['kg', null, 100, 140, { kind: 'less_than_tare' }],
    ['kg', null, 140, 140, { kind: 'amount', thousandths: 0 }],
  ] as const)('a thing kept by %s, one of %s g: %d g less %d g', (unit, one, gross, tare, wanted) => {
    expect(amountByWeight(item(unit, one), gross, tare)).toEqual(wanted);
  });
});

describe('a level', () => {
  const context = { newId: idMaker(), now: '2026-11-26T08:00:00.000Z', today: '2026-11-26' };
  it('is noted with its day, and counts the only thing in the bin where its amount is known', () => {
    const state = sampleHome();
    const seen = { percent: 50, on: '2026-11-26', how: 'seen' as const };
    const counted = { lot: state.get('lot', 'lot')!, thousandths: 12_000 };
    const ops = opsForLevel(state.get('bin', 'bin')!, seen, counted, context);
    const applied = applyCommand(state, { id: 'c', intent: 'level_seen', occurredAt: context.now, ops }, AS_ADULT);
    if (applied.ok) for (const row of applied.changed) state.put(row);
    expect(state.get('bin', 'bin')!.level).toEqual({ percent: 50, seenOn: '2026-11-26', how: 'seen' });
    expect(state.get('lot', 'lot')!.quantityThousandths).toBe(12_000);
  });
  it('stays between empty and full', () => {
    const bin = sampleHome().get('bin', 'bin')!;
    const level = (percent: number) =>
      opsForLevel(bin, { percent, on: '2026-11-26', how: 'weighed' }, null, context)[0] as {
        fields: { level: { percent: number } };
      };
    expect([level(-3), level(140), level(49.6)].map(({ fields }) => fields.level.percent)).toEqual([0, 100, 50]);
  });
});
