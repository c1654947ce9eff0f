import type { LengthUnit, PlannedBin, PlanReason } from '@ours/core';
import { YStack } from 'tamagui';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Small } from '@/kit/text/Text';
import { minutesFigure } from '@/features/where/words';
import { planReasonWords } from './words';

/** Why each group stands where it stands, from the top shelf down; a row shows its bins in the drawing. */
export function PlanReasons({
  reasons,
  placed,
  shelfIds,
  unit,
  nameOf,
  tagOf,
  selected,
  onSelect,
}: {
  reasons: readonly PlanReason[];
  placed: readonly PlannedBin[];
  /** The lowest first. */
  shelfIds: readonly string[];
  unit: LengthUnit;
  nameOf: (groupId: string) => string;
  tagOf: (key: string) => string;
  selected: string | null;
  onSelect: (key: string) => void;
}) {
  const highest = ({ keys }: PlanReason): number =>
    Math.max(-1, ...placed.filter(({ key }) => keys.includes(key)).map(({ shelfId }) => shelfIds.indexOf(shelfId)));
  const rows = [...reasons].sort((a, b) => highest(b) - highest(a) || b.price.minutes - a.price.minutes);
  return (
    <YStack testID="plan-reasons">
      <ListHeading title="Why it stands so" remark="min a month" />
      {rows.map((reason) => {
        const tags = reason.keys.map(tagOf).join(', ');
        return (
          <ListRow
            key={reason.group}
            title={tags === '' ? nameOf(reason.group) : `${nameOf(reason.group)}, ${tags}`}
            detail={planReasonWords(reason, unit, nameOf)}
            detailLines={4}
            selected={selected !== null && reason.keys.includes(selected)}
            {...(reason.keys.length > 0 ? { onPress: () => onSelect(reason.keys[0]!) } : {})}
            right={<Small>{minutesFigure(reason.price.minutes)}</Small>}
          />
        );
      })}
    </YStack>
  );
}
