import { type CivilDate, type ListLine } from '@ours/core';
import { daysBetween } from '@ours/core';
import { memo } from 'react';
import { XStack, YStack } from 'tamagui';
import { Runway, type RunwayBar } from '@/kit/chart/Runway';
import type { Ruler } from '@/kit/chart/Ruler';
import { Stepper } from '@/kit/form/Stepper';
import { Button } from '@/kit/press/Button';
import { Mono, Small, Strong } from '@/kit/text/Text';
import type { RestockEntry } from '@ours/core';
import { RunwayRow } from './RunwayRow';
import { packsWords, packWords, priceFigure } from './words';

const ROW_HEIGHT = 68;
/** Of a day over the ruler, like `Sat 26`. */
const LABEL_WIDTH = 46;
/** Where the name begins: behind the number of packs. */
const NAME_LEFT = 64;

export interface RulerPlan {
  ruler: Ruler;
  ticks: readonly number[];
  today: CivilDate;
  day: CivilDate;
  nextDay: CivilDate;
}

/** The bar of an item: what may run out before the trip after the next one is amber. */
export function barOf(entry: RestockEntry | null, { today, nextDay }: RulerPlan): RunwayBar | null {
  if (!entry) return null;
  if (entry.leftThousandths <= 0) return { sure: 0, may: 0, tone: 'now' };
  const { out } = entry;
  if (!out) return null;
  const now = out.early !== null && out.early < daysBetween(today, nextDay);
  return { sure: out.early, may: out.late, tone: now ? 'now' : 'later' };
}

export interface LineDeedsOf {
  onPacks: (line: ListLine, packs: number) => void;
  onItem: (line: ListLine) => void;
  onOffer: (line: ListLine) => void;
}

/** What can be changed of a line: how many, not this week, what an offer is worth. */
export function LineDeeds({ line, onPacks, onItem, onOffer }: { line: ListLine } & LineDeedsOf) {
  const { item, name, packs, entry } = line;
  const most = entry?.mostPacks ?? null;
  return (
    <YStack gap={8}>
      {most === null || most >= packs ? null : <Small>At most {most} are used while they are good.</Small>}
      <XStack gap={8} alignItems="center" flexWrap="wrap">
        <Stepper
          label={`How many ${name}`}
          value={packs}
          less={`One less ${name}`}
          more={`One more ${name}`}
          canLess={packs > 1}
          onLess={() => onPacks(line, packs - 1)}
          onMore={() => onPacks(line, packs + 1)}
        />
        <Button label="Not this week" onPress={() => onPacks(line, 0)} />
        {item && entry ? <Button label="On offer" onPress={() => onOffer(line)} /> : null}
        {item ? <Button label="About it" onPress={() => onItem(line)} /> : null}
      </XStack>
    </YStack>
  );
}

/** The row of which the deeds stand beside the list. */
export const ChosenMark = () => (
  <YStack position="absolute" left={0} top={0} bottom={0} width={6} backgroundColor="$green" aria-hidden />
);

/** One thing to buy, standing on its bar as a bin stands on a shelf. */
export const RestockRow = memo(function RestockRow({
  line,
  why,
  plan,
  currency,
  open,
  onOpen,
  onPacks,
  onItem,
  onOffer,
  aside = false,
}: {
  line: ListLine;
  why: string;
  plan: RulerPlan;
  currency: string;
  /** Shows what can be changed. */
  open: boolean;
  /** What can be changed is shown beside the list. */
  aside?: boolean;
  onOpen: (key: string) => void;
} & LineDeedsOf) {
  const { item, name, packs, packThousandths, size, priceMinor, entry, ticked } = line;
  const pack = item ? packWords(packThousandths, item, size) : '';
  return (
    <YStack backgroundColor="$background" borderBottomWidth={1} borderColor="$borderColor" position="relative">
      <RunwayRow
        ruler={plan.ruler}
        ticks={plan.ticks}
        height={ROW_HEIGHT}
        bar={barOf(entry, plan)}
        label={`${item ? packsWords(packs, item) : packs} ${name}: ${why}`}
        expanded={open}
        onPress={() => onOpen(line.key)}
      >
        <XStack paddingTop={8} paddingRight={16} alignItems="flex-start">
          <XStack width={NAME_LEFT} paddingRight={12} justifyContent="flex-end">
            <Strong
              fontFamily="$heading"
              fontSize={20}
              lineHeight={24}
              backgroundColor="$background"
              paddingHorizontal={3}
            >
              {packs}
            </Strong>
          </XStack>
          <YStack flex={1} minWidth={0} alignItems="flex-start">
            <Strong
              numberOfLines={1}
              backgroundColor="$background"
              paddingRight={6}
              maxWidth="100%"
              {...(ticked === 'basket' ? { textDecorationLine: 'line-through', color: '$second' } : {})}
            >
              {name}
              {pack === '' ? null : <Small fontSize={16} lineHeight={22}>{`, ${pack}`}</Small>}
            </Strong>
            <Small numberOfLines={1} backgroundColor="$background" paddingRight={6} maxWidth="100%">
              {why}
            </Small>
          </YStack>
          <Mono fontSize={15} lineHeight={24} backgroundColor="$background" paddingLeft={6}>
            {priceFigure(priceMinor === null ? null : priceMinor * packs, currency)}
          </Mono>
        </XStack>
      </RunwayRow>
      {open && aside ? <ChosenMark /> : null}
      {open && !aside ? (
        <YStack paddingHorizontal={16} paddingBottom={12}>
          <LineDeeds line={line} onPacks={onPacks} onItem={onItem} onOffer={onOffer} />
        </YStack>
      ) : null}
    </YStack>
  );
});

/** The ruler over the rows: today and the shop days by name. */
export function RulerHead({ plan, words }: { plan: RulerPlan; words: (day: number, strong: boolean) => string }) {
  const { ruler, ticks } = plan;
  const x = (day: number): number => ruler.left + day * ruler.pxADay;
  const labels = ticks.filter((day) => day > 0 && day <= ruler.days);
  // Two labels that would touch: the later one is left out.
  const shown = labels
    .filter((day, at) => at === 0 || x(day) - x(labels[at - 1]!) > 60 || at === 1)
    // Nor one that would stand beyond the end.
    .filter((day) => x(day) + LABEL_WIDTH <= ruler.width);
  return (
    <YStack
      position="relative"
      height={34}
      backgroundColor="$background"
      borderBottomWidth={1}
      borderColor="$borderColor"
      aria-hidden
    >
      <YStack position="absolute" top={0} left={0}>
        <Runway ruler={{ ...ruler }} ticks={ticks} height={34} bar={null} />
      </YStack>
      {(labels[0] ?? ruler.days) * ruler.pxADay > 40 ? (
        <Small position="absolute" left={ruler.left} top={8} backgroundColor="$background" paddingHorizontal={2}>
          today
        </Small>
      ) : null}
      {shown.map((day) => {
        const strong = ticks.indexOf(day) < 2;
        const Label = strong ? Strong : Small;
        return (
          <Label
            key={day}
            position="absolute"
            left={x(day) + 3}
            top={8}
            fontSize={14}
            lineHeight={19}
            backgroundColor="$background"
            paddingRight={3}
            whiteSpace="nowrap"
          >
            {words(day, strong)}
          </Label>
        );
      })}
    </YStack>
  );
}
