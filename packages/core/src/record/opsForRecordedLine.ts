import type { HouseholdState, Op, ItemRow, ItemTraits, LotFields, LotRow } from '../household';
import { convertMeasure, ONE_THOUSANDTHS, isMeasure } from '../base';
import { oldestFirst, opsForCountingAll, opsForOpening, opsForPuttingIn, opsForTaking, type OpContext } from '../stock';
import { withCode } from '../codes';
import { guideOf, type KeepingGuide } from '../shelflife';
import type { RecordedLine } from './lineReading';

export type LinePlan =
  | {
      kind: 'planned';
      intent: 'stock_put_in' | 'stock_taken' | 'stock_counted' | 'stock_discarded' | 'stock_opened';
      ops: Op[];
      quantityThousandths: number;
      item: { name: string; unit: string };
    }
  /** The line is kept word for word instead, for the person to fix. */
  | { kind: 'keep'; why: KeptWhy; ops: Op[] };
/** `none_here`: nothing of it is recorded in this place, so that a count of none or a taking there says nothing. */
export type KeptWhy = 'not_understood' | 'open_question' | 'unknown_item' | 'unit_mismatch' | 'none_here';

const LONGEST_KEPT = 1000;

/**
 * The quantity of a card in the unit that an item is kept in: 6 of 400 g of what is kept in kg is 2.4.
 *
 * @returns thousandths of the unit, or null when the two do not go together
 */
export function quantityIn(
  { quantityThousandths, unit: said, packSize }: Pick<RecordedLine, 'quantityThousandths' | 'unit' | 'packSize'>,
  unit: string,
): number | null {
  if (!isMeasure(unit) || !packSize || (said !== null && isMeasure(said))) {
    return convertMeasure(quantityThousandths, said, unit);
  }
  const each = convertMeasure(packSize.amountThousandths, packSize.unit, unit);
  return each === null ? null : Math.round((quantityThousandths * each) / 1000);
}

/**
 * What saving a corrected line changes.
 *
 * @param known the item the line names, or null when the home does not know it
 * @param nookId the place the line is recorded into
 * @returns operations; a line that is unclear, takes from an unknown item or mixes measures is kept as typed
 */
export function opsForRecordedLine(
  state: HouseholdState,
  known: ItemRow | null,
  card: RecordedLine,
  nookId: string,
  context: OpContext,
): LinePlan {
  const keep = (why: KeptWhy): LinePlan => ({
    kind: 'keep',
    why,
    ops: [
      {
        op: 'create',
        entity: 'line',
        id: context.newId(),
        fields: { text: card.text.trim().slice(0, LONGEST_KEPT), nookId },
      },
    ],
  });
  if (!card.understood) return keep('not_understood');
  if (card.questions.length > 0) return keep('open_question');
  if (!known && card.action !== 'put_in') return keep('unknown_item');
  const quantity = known ? quantityIn(card, known.unit) : card.quantityThousandths;
  if (quantity === null) return keep('unit_mismatch');

  const item = known ?? { name: capital(card.name), unit: card.unit ?? 'piece' };
  const planned = (intent: Extract<LinePlan, { kind: 'planned' }>['intent'], ops: Op[]): LinePlan => ({
    kind: 'planned',
    intent,
    ops,
    quantityThousandths: quantity,
    item,
  });
  const here = known ? state.lotsIn(nookId).filter((lot) => lot.itemId === known.id) : [];
  if (card.action === 'take' && known) {
    const lots = oldestFirst(here.length > 0 ? here : onlyPlaceOf(state, known), known, guideOf(state));
    const intent = card.takeReason === null ? 'stock_taken' : 'stock_discarded';
    return lots.length === 0
      ? keep('none_here')
      : planned(intent, opsForTaking(lots, quantity, context, card.takeReason));
  }
  const closed = known ? opensOneOf(card, here, known, guideOf(state)) : null;
  if (closed && known) {
    const amount = isMeasure(known.unit) ? closed.quantityThousandths : ONE_THOUSANDTHS;
    const ops = opsForOpening(closed, amount, here, { ...context, today: card.openedOn! });
    return { kind: 'planned', intent: 'stock_opened', ops, quantityThousandths: amount, item };
  }
  const itemId = known?.id ?? context.newId();
  const itemOps = known ? changesOf(known, card) : [newItem(itemId, item, card)];
  if (card.action === 'count' && known && (here.length > 0 || quantity === 0)) {
    const lots = here.length > 0 ? here : onlyPlaceOf(state, known);
    if (lots.length === 0) return keep('none_here');
    const counts = opsForCountingAll(lots, known, guideOf(state), quantity, context);
    return planned('stock_counted', [...itemOps, ...counts]);
  }
  return planned(card.action === 'count' ? 'stock_counted' : 'stock_put_in', [
    ...itemOps,
    ...opsForPuttingIn(lotOf(card, itemId, nookId), quantity, here, context),
  ]);
}

/**
 * The closed one that a line such as `milk opened` opens: said without a number, of a thing that is there, it puts in no further one.
 *
 * @param here lots of the thing in the place of the line
 * @returns the one to be used first, or null when the line puts one in
 */
export function opensOneOf(
  card: RecordedLine,
  here: readonly LotRow[],
  item: ItemRow,
  guide: KeepingGuide,
): LotRow | null {
  const says = card.action === 'put_in' && card.openedOn !== null && !card.quantityGiven && card.expiresOn === null;
  if (!says) return null;
  const closed = here.filter((lot) => lot.openedOn === null && lot.quantityThousandths > 0);
  return oldestFirst(closed, item, guide)[0] ?? null;
}

/** What there is of a thing when it is all in one place; of several places the line would have to name one. */
function onlyPlaceOf(state: HouseholdState, { id }: ItemRow): ReturnType<HouseholdState['lotsOf']> {
  const lots = state.lotsOf(id).filter(({ quantityThousandths }) => quantityThousandths > 0);
  return new Set(lots.map(({ nookId }) => nookId)).size === 1 ? lots : [];
}

const capital = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);

const BARE: ItemTraits = { weightGrams: null, volumeMl: null, textile: null, groups: {} };
/** With three sides; a new thing is taken as rigid. A volume that was written down stays. */
const withSides = (traits: ItemTraits | null, [wide, deep, high]: readonly [number, number, number]): ItemTraits => ({
  ...(traits ?? BARE),
  shape: {
    rigid: true,
    kept: [],
    ...(traits?.shape ?? null),
    widthTenthMm: wide,
    depthTenthMm: deep,
    heightTenthMm: high,
  },
});
const hasSides = ({ traits }: ItemRow, [wide, deep, high]: readonly [number, number, number]): boolean =>
  traits?.shape?.widthTenthMm === wide && traits.shape.depthTenthMm === deep && traits.shape.heightTenthMm === high;

const newItem = (id: string, { name, unit }: { name: string; unit: string }, card: RecordedLine): Op => ({
  op: 'create',
  entity: 'item',
  id,
  fields: {
    name,
    unit,
    tags: card.tags,
    category: '',
    synonyms: [],
    lowAtThousandths: null,
    openedDays: card.openedDays,
    freezerMonths: null,
    ...(card.gtin === null ? {} : { codes: [card.gtin] }),
    ...(card.sides === null ? {} : { traits: withSides(null, card.sides) }),
  },
});

function changesOf(item: ItemRow, { tags, openedDays, gtin, sides }: RecordedLine): Op[] {
  const all = [...new Set([...item.tags, ...tags])];
  const fields = {
    ...(all.length === item.tags.length ? {} : { tags: all }),
    ...(openedDays === null || openedDays === item.openedDays ? {} : { openedDays }),
    ...(sides === null || hasSides(item, sides) ? {} : { traits: withSides(item.traits ?? null, sides) }),
    ...(gtin === null || item.codes?.includes(gtin) ? {} : { codes: withCode(item.codes, gtin) }),
  };
  return Object.keys(fields).length === 0 ? [] : [{ op: 'change', entity: 'item', id: item.id, fields }];
}

const lotOf = (card: RecordedLine, itemId: string, nookId: string): LotFields => ({
  itemId,
  nookId,
  packSize: card.packSize,
  expiresOn: card.expiresOn,
  dateKind: card.expiresOn === null ? null : (card.dateKind ?? 'best_before'),
  openedOn: card.openedOn,
  frozenOn: card.frozenOn,
  thawedOn: card.thawedOn,
  madeOn: card.madeOn,
  madeKind: card.madeOn === null ? null : (card.madeKind ?? 'made'),
  batch: card.batch,
  note: '',
});
