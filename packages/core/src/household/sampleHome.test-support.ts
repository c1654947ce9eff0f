/** A corner of the ferry house, for core's own tests. */
import type {
  BinFields,
  ContainerFields,
  ItemFields,
  LotFields,
  LotRow,
  ShelfFields,
  SpaceFields,
  TaggedRow,
} from './registry';
import { applyCommand } from './applyCommand';
import type { Op } from './command';
import { HouseholdState } from './HouseholdState';
import { writeCode } from '../base/nookCode';

/** How most tests apply a command: numbered 2, by an adult. */
export const AS_ADULT = { seq: 2, by: { role: 'adult', personId: null } } as const;

export const spaceFields = (more: Partial<SpaceFields> = {}): SpaceFields => ({
  roomId: 'loft',
  name: 'Rack 1',
  kind: 'storage_rack',
  code: writeCode('BL1', ''),
  widthTenthMm: 18000,
  heightTenthMm: 21000,
  depthTenthMm: 5000,
  postWidthTenthMm: 350,
  locked: false,
  note: '',
  sort: 0,
  ...more,
});
export const shelfFields = (more: Partial<ShelfFields> = {}): ShelfFields => ({
  spaceId: 'rack',
  name: '',
  kind: 'shelf',
  code: writeCode('BL1', 'A'),
  sort: 0,
  leftTenthMm: null,
  bottomTenthMm: null,
  widthTenthMm: null,
  heightTenthMm: null,
  depthTenthMm: null,
  ...more,
});
export const binFields = (more: Partial<BinFields> = {}): BinFields => ({
  shelfId: 'top',
  parentBinId: null,
  name: 'paper lanterns',
  look: 'see_through',
  hasLid: true,
  code: writeCode('BL1', 'A1'),
  sort: 0,
  leftTenthMm: null,
  widthTenthMm: null,
  heightTenthMm: null,
  depthTenthMm: null,
  tags: [],
  ...more,
});
export const itemFields = (more: Partial<ItemFields> = {}): ItemFields => ({
  name: 'Paper lanterns, midsummer',
  category: 'decoration',
  unit: 'piece',
  synonyms: [],
  tags: [],
  lowAtThousandths: null,
  openedDays: null,
  freezerMonths: null,
  ...more,
});
export const containerFields = (more: Partial<ContainerFields> = {}): ContainerFields => ({
  name: 'crate',
  look: 'slatted',
  family: '',
  colour: '',
  topWidthTenthMm: 3000,
  topDepthTenthMm: 3000,
  baseWidthTenthMm: null,
  baseDepthTenthMm: null,
  heightTenthMm: 2500,
  hasLid: false,
  openHeightTenthMm: null,
  innerVolumeMl: 20_000,
  insideWidthTenthMm: null,
  insideDepthTenthMm: null,
  insideHeightTenthMm: null,
  stackPitchTenthMm: null,
  nestPitchTenthMm: null,
  maxLoadGrams: null,
  weightGrams: 1000,
  priceMinor: 500,
  owned: 2,
  free: false,
  ...more,
});
export const lotFields = (more: Partial<LotFields> = {}): LotFields => ({
  itemId: 'lanterns',
  nookId: 'bin',
  packSize: null,
  expiresOn: null,
  dateKind: null,
  openedOn: null,
  frozenOn: null,
  note: '',
  ...more,
});
export const lotRow = (id: string, more: Partial<LotRow> = {}): LotRow => ({
  ...lotFields(),
  id,
  seq: 1,
  retired: false,
  quantityThousandths: 24_000,
  pleaseCount: false,
  countedAt: null,
  lastAt: null,
  ...more,
});

const base = (id: string) => ({ id, seq: 1, retired: false });

export function sampleRows(): TaggedRow[] {
  return [
    { entity: 'room', row: { ...base('loft'), name: 'Boat loft', sort: 0 } },
    { entity: 'space', row: { ...base('rack'), ...spaceFields() } },
    { entity: 'shelf', row: { ...base('top'), ...shelfFields() } },
    { entity: 'shelf', row: { ...base('low'), ...shelfFields({ code: writeCode('BL1', 'B'), sort: 1 }) } },
    { entity: 'bin', row: { ...base('bin'), ...binFields() } },
    {
      entity: 'bin',
      row: { ...base('bin2'), ...binFields({ name: 'tea lights', code: writeCode('BL1', 'A2'), sort: 1 }) },
    },
    { entity: 'item', row: { ...base('lanterns'), ...itemFields() } },
    { entity: 'lot', row: lotRow('lot') },
  ];
}

export function sampleHome(): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  return state;
}

export const idMaker = (prefix = 'new'): (() => string) => {
  let next = 0;
  return () => `${prefix}-${String(++next).padStart(4, '0')}`;
};

/** Applies operations as one command of an adult; a refusal fails the test. */
export function runOps(state: HouseholdState, ops: Op[], context: { newId: () => string; now: string }): void {
  const done = applyCommand(state, { id: context.newId(), intent: 'tested', occurredAt: context.now, ops }, AS_ADULT);
  if (!done.ok) throw new Error(JSON.stringify(done));
  for (const row of done.changed) state.put(row);
}
