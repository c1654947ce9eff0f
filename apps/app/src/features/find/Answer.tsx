import {
  foldedWords,
  foldText,
  isMeasure,
  oldestFirst,
  opsForTaking,
  type Found,
  type ItemRow,
  type LoanRow,
  type LotRow,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { XStack, YStack, Text, useMedia } from 'tamagui';
import { useGuide } from '@/shared/useGuide';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useLoansOf } from '@/shared/useLoansOf';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { Card } from '@/kit/layout/Card';
import { Button } from '@/kit/press/Button';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Small, Strong } from '@/kit/text/Text';
import { LotDialog, useBringBack } from '@/features/stock';
import { amountOfWords, amountWords, dueWords, lotAmountWords, onHandWords, outWords } from '@/features/stock/words';
import { drawingScale, OpenDoorView, useFront, type Front } from '@/features/drawing';
import { summaryWords } from '@/features/drawing/words';
import { namesWords } from '@/features/spaces/words';
import { wayTo } from '@/shared/placeWords';
import { AnswerHead } from './AnswerHead';
import { sameRows } from './sameRows';

/** The answer to "where is it?": what, how many, until when, the way there, and the drawing with the bin lit. */
export function Answer({ found, query }: { found: Found; query: string }) {
  return found.kind === 'item' ? (
    <ItemAnswer item={found.item} lots={found.lots} query={query} />
  ) : (
    <NookAnswer nookId={found.nookId} repaired={found.repaired} />
  );
}

function ItemAnswer({ item, lots, query }: { item: ItemRow; lots: readonly LotRow[]; query: string }) {
  const guide = useGuide();
  const ordered = oldestFirst(lots, item, guide);
  const [at, setAt] = useState(0);
  const next = useCallback(() => setAt((now) => now + 1), []);
  const places = [...new Set(ordered.map((lot) => lot.nookId))];
  const place = places.length === 0 ? 0 : at % places.length;
  const nookId = places[place];
  const first = ordered.find((lot) => lot.nookId === nookId);
  const loans = useLoansOf(ordered);
  const out = [
    ...new Map(loans.flatMap((loan, i) => (loan ? [[loan.id, { loan, lot: ordered[i]! }] as const] : []))),
  ].map(([, one]) => one);
  const dates = first ? dueWords(first, item, today(), guide) : '';
  return (
    <AnswerCard
      nookId={nookId ?? null}
      title={<Marked text={item.name} query={query} />}
      sub={[onHandWords(lots, item), dates].filter(Boolean).join(' · ')}
    >
      {out.map(({ loan, lot }) => (
        <OutLine key={loan.id} loan={loan} amount={amountOfWords(loan.thousandths ?? lot.quantityThousandths, item)} />
      ))}
      <ItemDeeds item={item} ordered={ordered} places={places} place={place} onNext={next} />
    </AnswerCard>
  );
}

/** What is not in its place, and where it is instead. */
function OutLine({ loan, amount }: { loan: LoanRow; amount: string }) {
  const { bringBack, dialog } = useBringBack();
  return (
    <XStack gap={8} alignItems="center" role="status">
      <YStack flex={1} minWidth={0}>
        <Strong>{outWords(loan, today())}</Strong>
        <Small>
          {loan.thousandths === null ? `with ${loan.what}; its place is kept` : `${amount}; its place is kept`}
        </Small>
      </YStack>
      <Button label="It is back" onPress={() => bringBack(loan)} />
      {dialog}
    </XStack>
  );
}

interface Deeds {
  item: ItemRow;
  /** The oldest first. */
  ordered: readonly LotRow[];
  places: readonly string[];
  place: number;
  onNext: () => void;
}

/** What can be done with the answer; not drawn anew while the same answer is typed on. */
const ItemDeeds = memo(
  function ItemDeeds({ item, ordered, places, place, onNext }: Deeds) {
    const runCommand = useRunCommand();
    const router = useRouter();
    const [taking, setTaking] = useState<string | null>(null);
    const measured = isMeasure(item.unit);
    const nookId = places[place];
    const here = ordered.filter((lot) => lot.nookId === nookId);
    const first = here[0];
    return (
      <>
        {places.length > 1 ? (
          <Small>
            {here.map((lot) => lotAmountWords(lot, item)).join(' and ')} at this place, number {place + 1} of{' '}
            {places.length}.
          </Small>
        ) : null}
        <XStack gap={8} flexWrap="wrap">
          {first ? (
            <Button
              kind="primary"
              label={measured ? 'Take some' : 'Take one'}
              onPress={() => {
                if (measured) return setTaking(first.id);
                const one = Math.min(1000, first.quantityThousandths);
                const done = `Taken: ${amountWords(one, item.unit)} ${item.name}.`;
                void runCommand('stock_taken', opsForTaking(here, one, opContext()), done);
              }}
            />
          ) : null}
          {nookId ? <Button label="Look inside" onPress={() => router.push(`/nook/${nookId}`)} /> : null}
          {places.length > 1 ? <Button label="Next place" onPress={onNext} /> : null}
          <Button label="About it" onPress={() => router.push(`/item/${item.id}`)} />
        </XStack>
        <LotDialog lotId={taking} onClose={() => setTaking(null)} />
      </>
    );
  },
  (a, b) => a.item === b.item && a.place === b.place && a.onNext === b.onNext && sameRows(a.ordered, b.ordered),
);

function NookAnswer({ nookId, repaired }: { nookId: string; repaired: boolean }) {
  const router = useRouter();
  const front = useFront(useHousehold(({ state }) => wayTo(state, nookId)?.space?.id ?? null));
  const path = useHousehold(({ state }) => wayTo(state, nookId));
  const kind = useHousehold(({ state }) => state.nook(nookId)?.kind);
  const summary = front?.summaryOf(nookId);
  const name = path?.bins.at(-1)?.name ?? path?.steps.at(-1) ?? '';
  const sub = summary ? [summaryWords(summary), namesWords(summary.itemNames)].filter(Boolean).join(' · ') : '';
  return (
    <AnswerCard nookId={nookId} title={name} sub={sub}>
      {repaired ? <Small>The code was read with one look-alike letter put right.</Small> : null}
      <XStack gap={8} flexWrap="wrap">
        <Button
          kind="primary"
          label={kind === 'space' ? 'Open the doors' : 'Look inside'}
          onPress={() => router.push(kind === 'space' ? `/space/${nookId}` : `/nook/${nookId}`)}
        />
        <Button label="Record here" onPress={() => router.push(`/record?nook=${nookId}`)} />
      </XStack>
    </AnswerCard>
  );
}

function AnswerCard({
  nookId,
  title,
  sub,
  children,
}: {
  nookId: string | null;
  title: React.ReactNode;
  sub: string;
  children: React.ReactNode;
}) {
  const path = useHousehold(({ state }) => (nookId === null ? null : wayTo(state, nookId)));
  const litId = path?.bins[0]?.id ?? path?.shelf?.id ?? null;
  const front = useFront(path?.space?.id ?? null);
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const width = gtMd ? Math.min(620, content - 400 - 16 * 5 - 2) : content - 34;
  return (
    <Card testID="answer">
      <AnswerHead title={title} sub={sub} path={path} />
      {front ? <Drawing front={front} litId={litId} width={width} maxHeight={gtMd ? 460 : 350} /> : null}
      <YStack padding={14} gap={10}>
        {children}
      </YStack>
    </Card>
  );
}

/** The space with the bin lit. The words of the answer are there first, and the drawing takes its place when it is ready. */
function Drawing({
  front,
  litId,
  width,
  maxHeight,
}: {
  front: Front;
  litId: string | null;
  width: number;
  maxHeight: number;
}) {
  const router = useRouter();
  const open = useCallback((id: string) => router.push(`/nook/${id}`), [router]);
  const wanted = useMemo(() => ({ front, litId }), [front, litId]);
  const drawn = useDeferredValue(wanted, null);
  if (!drawn) return <YStack height={drawingScale(front.view, width, maxHeight, false).height} />;
  return (
    <OpenDoorView
      view={drawn.front.view}
      width={width}
      maxHeight={maxHeight}
      hereId={drawn.litId}
      summaryOf={drawn.front.summaryOf}
      onPressNook={open}
    />
  );
}

/** The name with the part that was typed underlined. */
function Marked({ text, query }: { text: string; query: string }) {
  const typed = foldedWords(query);
  return (
    <>
      {text.split(/(\s+)/).map((word, at) => {
        const folded = foldText(word);
        const hit =
          folded !== '' && typed.some((one) => one.length > 1 && (folded.startsWith(one) || one.startsWith(folded)));
        return hit ? (
          <Text key={at} textDecorationLine="underline" textDecorationColor="$green">
            {word}
          </Text>
        ) : (
          word
        );
      })}
    </>
  );
}
