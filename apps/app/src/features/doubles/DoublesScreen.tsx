import { likelyDoubles, opsForMerging, type ItemRow, type LikelyDouble } from '@ours/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useToast } from '@/kit/feedback/Toasts';
import { EmptyState } from '@/kit/layout/EmptyState';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { pressable } from '@/kit/press/pressable';
import { counted } from '@/kit/text/counted';
import { Small, Strong } from '@/kit/text/Text';
import { onHandWords } from '@/features/stock/words';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { mergeProblemWords, WHY_WORDS } from './words';

const KEY = 'nook-two-things';
const keyOf = ({ keep, other }: Pick<LikelyDouble, 'keep' | 'other'>): string => [keep.id, other.id].sort().join(' ');

/** Pairs that somebody called two things, kept on this device. */
function useTwoThings(): { two: ReadonlySet<string>; say: (key: string) => void } {
  const [two, setTwo] = useState<ReadonlySet<string>>(() => {
    try {
      return new Set(JSON.parse(localStorage.getItem(KEY) ?? '[]') as string[]);
    } catch {
      return new Set();
    }
  });
  const say = (key: string): void => {
    const next = new Set([...two, key]);
    setTwo(next);
    try {
      localStorage.setItem(KEY, JSON.stringify([...next]));
    } catch {
      // Not kept, it is asked again another time.
    }
  };
  return { two, say };
}

/** Things that are likely one under two names: made one, or called two. */
export function DoublesScreen() {
  const { store } = useHouseholdContext();
  const version = useHousehold((snapshot) => snapshot.version);
  const { two, say } = useTwoThings();
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the state is changed in place, the version says so
  const all = useMemo(() => likelyDoubles(store.state), [store, version]);
  const open = all.filter((one) => !two.has(keyOf(one)));
  return (
    <Screen
      title="Likely the same"
      sub={counted(open.length, { zero: 'no pair', one: '# pair', other: '# pairs' })}
      back="/stock"
    >
      {open.length === 0 ? (
        <EmptyState text="No two things look like one: by their trade numbers, the words of their names, what they are also called, or a letter." />
      ) : null}
      <LongList entries={open} keyOf={keyOf} draw={(one) => <Pair pair={one} onTwo={() => say(keyOf(one))} />} />
    </Screen>
  );
}

function Pair({ pair: { keep, other, why }, onTwo }: { pair: LikelyDouble; onTwo: () => void }) {
  const runCommand = useRunCommand();
  const toast = useToast();
  const { store } = useHouseholdContext();
  const merge = (stays: ItemRow, goes: ItemRow): void => {
    const merged = opsForMerging(store.state, stays, goes, opContext());
    if (!merged.ok) {
      const codeOf = (nookId: string): string => store.state.nook(nookId)?.row.code ?? 'a place that is gone';
      return toast({ text: mergeProblemWords(merged.problem, goes.unit, codeOf), problem: true });
    }
    void runCommand('things_merged', merged.ops, `One thing now: ${stays.name}, also called ${goes.name}.`);
  };
  return (
    <YStack
      padding={16}
      gap={10}
      backgroundColor="$background"
      borderBottomWidth={1}
      borderColor="$borderColor"
      role="group"
      aria-label={`${keep.name} and ${other.name}`}
    >
      <Small>{WHY_WORDS[why]}</Small>
      <XStack gap={12} flexWrap="wrap">
        <One item={keep} />
        <One item={other} />
      </XStack>
      <XStack gap={8} flexWrap="wrap">
        <Button label={`One: ${keep.name}`} onPress={() => merge(keep, other)} />
        <Button label={`One: ${other.name}`} onPress={() => merge(other, keep)} />
        <Button kind="quiet" label="Two things" onPress={onTwo} />
      </XStack>
    </YStack>
  );
}

/** One of the two, with how many there are and where; a press shows all of its history. */
function One({ item }: { item: ItemRow }) {
  const router = useRouter();
  const lots = useHousehold(({ state }) =>
    state.lotsOf(item.id).filter(({ quantityThousandths }) => quantityThousandths > 0),
  );
  return (
    <YStack
      flexGrow={1}
      flexBasis={150}
      gap={4}
      padding={10}
      borderWidth={1}
      borderRadius={10}
      borderColor="$borderColor"
      {...pressable({ onPress: () => router.push(`/item/${item.id}`), role: 'link' })}
      aria-label={`${item.name}, its page`}
    >
      <Strong>{item.name}</Strong>
      <Small>{lots.length === 0 ? 'none there' : onHandWords(lots, item)}</Small>
      <XStack gap={4} flexWrap="wrap">
        {[...new Set(lots.map(({ nookId }) => nookId))].slice(0, 3).map((nookId) => (
          <NookPlate key={nookId} nookId={nookId} />
        ))}
      </XStack>
    </YStack>
  );
}
