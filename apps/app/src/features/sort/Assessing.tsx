import {
  disposalCaution,
  formatQuantity,
  likelyVerdict,
  opsForFinishing,
  opsForVerdict,
  pluralUnit,
  suggestHome,
  VERDICTS,
  type ClearOutState,
  type LotRow,
  type SpaceRow,
  type Verdict,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { useUndoStack } from '@/shared/useUndoStack';
import { Card } from '@/kit/layout/Card';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { shareText } from '@/kit/files';
import { UndoRedo } from '@/kit/press/UndoRedo';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Mark } from '@/kit/text/Mark';
import { useToast } from '@/kit/feedback/Toasts';
import { Small, Strong, Text } from '@/kit/text/Text';
import { NookPicker } from '@/shared/NookPicker';
import { wayTo } from '@/shared/placeWords';
import { DISPOSAL_CAUTIONS, VERDICT_WORDS, likelyWords, listText } from './words';

/** A round that is under way: place by place, thing by thing; the next undecided one is open. */
export function Assessing({ space, round }: { space: SpaceRow; round: ClearOutState }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const toast = useToast();
  const history = useUndoStack();
  const state = useHousehold((snapshot) => snapshot.state);
  const [openId, setOpenId] = useState<string | null>(null);
  const current = round.lots.find(({ id }) => id === openId) ?? round.undecided[0] ?? null;
  const places = [...new Set(round.lots.map(({ nookId }) => nookId))];
  const decided = round.lots.length - round.undecided.length;
  const give = round.lots.filter(({ id }) => round.verdicts.get(id)?.verdict === 'give_away');
  const decide = async (lot: LotRow, verdict: Verdict, toNookId: string | null): Promise<void> => {
    if (await history.change('verdict_given', opsForVerdict(round, lot, verdict, toNookId, opContext())))
      setOpenId(null);
  };
  const share = async (): Promise<void> => {
    const how = await shareText(`To give away, ${space.name}`, listText(state, give));
    if (how === 'copied') toast({ text: 'Copied: the list of what is given away.' });
    if (how === 'failed') toast({ text: 'This device would not share or copy the list.', problem: true });
  };
  const finish = (): void =>
    void runCommand(
      'clear_out_finished',
      opsForFinishing(state, round, opContext()),
      `Sorted: ${space.name}. What leaves is booked out.`,
    );
  return (
    <YStack gap={10} paddingTop={8}>
      <XStack paddingHorizontal={16} gap={8} alignItems="center">
        <Strong flex={1} testID="sort-progress">{`${decided} of ${round.lots.length} decided`}</Strong>
        {round.clearOut.minutes === null ? null : (
          <Timer startedAt={round.clearOut.startedAt} minutes={round.clearOut.minutes} />
        )}
        <UndoRedo undo={history.undo} />
      </XStack>
      {round.lots.length === 0 ? (
        <Text paddingHorizontal={16}>
          Nothing is recorded here yet. Record each thing as it comes out; it appears here.
        </Text>
      ) : null}
      {current ? (
        <OneThing
          key={current.id}
          lot={current}
          spaceId={space.id}
          verdict={round.verdicts.get(current.id)?.verdict ?? null}
          onDecide={(verdict, to) => void decide(current, verdict, to)}
        />
      ) : null}
      <XStack paddingHorizontal={16} gap={8} flexWrap="wrap">
        <Button label="Add a find" onPress={() => router.push(`/record?nook=${current?.nookId ?? space.id}`)} />
        {give.length > 0 ? (
          <Button label={`Share the give-away list (${give.length})`} onPress={() => void share()} />
        ) : null}
        <Button kind={round.undecided.length === 0 ? 'primary' : 'plain'} label="Finish" onPress={finish} />
      </XStack>
      {places.map((placeId) => (
        <YStack key={placeId}>
          <ListHeading title={wayTo(state, placeId)?.steps.slice(2).join(' › ') || space.name} />
          {round.lots
            .filter(({ nookId }) => nookId === placeId)
            .map((lot) => {
              const verdict = round.verdicts.get(lot.id)?.verdict;
              return (
                <ListRow
                  key={lot.id}
                  title={nameOf(state, lot)}
                  selected={lot.id === current?.id}
                  onPress={() => setOpenId(lot.id)}
                  right={
                    verdict ? <Mark kind={verdict === 'keep' ? 'plain' : 'low'} label={VERDICT_WORDS[verdict]} /> : null
                  }
                />
              );
            })}
        </YStack>
      ))}
    </YStack>
  );
}

type State = Parameters<typeof wayTo>[0];
function nameOf(state: State, lot: LotRow): string {
  const item = state.get('item', lot.itemId);
  return item
    ? `${item.name}, ${formatQuantity(lot.quantityThousandths)} ${pluralUnit(item.unit, lot.quantityThousandths)}`
    : '';
}

function OneThing({
  lot,
  spaceId,
  verdict,
  onDecide,
}: {
  lot: LotRow;
  spaceId: string;
  verdict: Verdict | null;
  onDecide: (verdict: Verdict, toNookId: string | null) => void;
}) {
  const [elsewhere, setElsewhere] = useState(false);
  const { state } = useHousehold((snapshot) => snapshot);
  const item = state.get('item', lot.itemId);
  if (!item) return null;
  const caution = disposalCaution(item);
  const home = suggestHome(state, lot, spaceId);
  const way = home ? wayTo(state, home) : null;
  const likely = likelyVerdict(state, lot, spaceId, today());
  return (
    <Card marginHorizontal={16} padding={14} gap={10} maxWidth={640} testID="assess-thing" strong>
      <Strong fontSize={18} lineHeight={24}>
        {nameOf(state, lot)}
      </Strong>
      {caution ? <Small>{DISPOSAL_CAUTIONS[caution]}</Small> : null}
      {elsewhere ? (
        <YStack gap={8}>
          {home && way ? (
            <Button
              kind="primary"
              label={`To ${way.steps.slice(1).join(' › ')}`.slice(0, 60)}
              onPress={() => onDecide('elsewhere', home)}
            />
          ) : null}
          <NookPicker label="Where does it belong?" exclude={null} onPick={(toId) => onDecide('elsewhere', toId)} />
          <Button kind="quiet" label="Back" onPress={() => setElsewhere(false)} />
        </YStack>
      ) : (
        <YStack gap={8}>
          <Button
            kind="primary"
            label={VERDICT_WORDS[likely.verdict]}
            selected={verdict === likely.verdict}
            onPress={() => onDecide(likely.verdict, likely.toNookId)}
          />
          <Small>{likelyWords(likely, (id) => wayTo(state, id)?.steps.slice(1).join(' › ') ?? '', today())}</Small>
          <Choices
            label="Or"
            wrap
            choices={VERDICTS.filter((value) => value !== likely.verdict || value === 'elsewhere').map((value) => ({
              value,
              label: value === likely.verdict ? 'To another place' : VERDICT_WORDS[value],
            }))}
            value={verdict}
            onChange={(value) => (value === 'elsewhere' ? setElsewhere(true) : onDecide(value, null))}
          />
        </YStack>
      )}
    </Card>
  );
}

const MINUTE_MS = 60_000;

/** What is left of the time one has given oneself; it says so when it is over and stops nothing. */
function Timer({ startedAt, minutes }: { startedAt: string; minutes: number }) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const ticking = setInterval(() => setNow(Date.now()), 15_000);
    return () => clearInterval(ticking);
  }, []);
  const left = Math.ceil((Date.parse(startedAt) + minutes * MINUTE_MS - now) / MINUTE_MS);
  return <Small role="timer">{left > 0 ? `${left} min left` : 'time is up'}</Small>;
}
