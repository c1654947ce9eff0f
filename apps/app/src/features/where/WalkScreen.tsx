import {
  errandsOf,
  isOpen,
  opsForErrand,
  opsForPuttingBack,
  savedBy,
  type ErrandRow,
  type HouseholdState,
} from '@ours/core';
import { XStack, YStack } from 'tamagui';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListHeading } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { CarryRow } from '@/shared/CarryRow';
import { opContext } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useRunCommand } from '@/shared/useRunCommand';
import { monthlyWords } from './words';

interface Walk {
  errand: ErrandRow;
  name: string;
  way: string;
  state: 'open' | 'done' | 'elsewhere';
}

const STATES = { open: 'open', done: 'ticked', elsewhere: 'crossed' } as const;

function walkOf(state: HouseholdState): Walk[] {
  return errandsOf(state).map((errand) => {
    const bin = state.get('bin', errand.subjectId);
    const lot = state.get('lot', errand.subjectId);
    const item = lot ? state.get('item', lot.itemId) : undefined;
    const way = (id: string): string => wayTo(state, id)?.steps.slice(1, 3).join(' › ') ?? '';
    return {
      errand,
      name: bin?.name ?? item?.name ?? 'gone',
      way: `${way(errand.fromNookId)} to ${way(errand.toNookId)}`,
      state: errand.doneOn !== null ? 'done' : isOpen(state, errand) ? 'open' : 'elsewhere',
    };
  });
}

/** The moves somebody accepted, in the order in which each place is free when one comes to it; one tap books a carry. */
export function WalkScreen() {
  const runCommand = useRunCommand();
  const { store } = useHouseholdContext();
  const { walk } = useHousehold(({ state, version }) => ({ walk: walkOf(state), version }));
  const chains = [...new Set(walk.map(({ errand }) => errand.chain))];
  const done = walk.filter(({ state }) => state === 'done').length;
  const carry = ({ errand, name }: Walk): void =>
    void runCommand('errand_done', opsForErrand(store.state, errand, opContext()), `Carried: ${name}.`);
  const putBack = (own: readonly Walk[]): void =>
    void runCommand(
      'moves_put_back',
      opsForPuttingBack(
        store.state,
        own.map(({ errand }) => errand),
        opContext(),
      ),
      own.some(({ state }) => state === 'done') ? 'Put back as it was.' : 'Off the walk list.',
    );
  return (
    <Screen title="Walk list" sub={walk.length > 0 ? `${done} of ${walk.length} carried` : undefined} back="/where">
      {walk.length === 0 ? (
        <EmptyState text="Nothing is to be carried. What you accept under Where things go comes here, in the order in which one walks." />
      ) : null}
      {chains.map((chain) => {
        const own = walk.filter(({ errand }) => errand.chain === chain);
        const saved = savedBy(own.map(({ errand }) => errand));
        return (
          <YStack key={chain}>
            <ListHeading
              title={own.length === 1 ? own[0]!.name : own.map(({ name }) => name).join(', ')}
              remark={saved > 0 ? monthlyWords(saved) : undefined}
            />
            {own.length > 1 ? (
              <Small paddingHorizontal={16} paddingVertical={6}>
                {own.length} carries; set one aside where the place is still taken.
              </Small>
            ) : null}
            {own.map((one) => (
              <CarryRow
                key={one.errand.id}
                title={one.name}
                from={one.errand.fromNookId}
                to={one.errand.toNookId}
                state={STATES[one.state]}
                onCarry={() => carry(one)}
              >
                <Small numberOfLines={2}>{one.state === 'elsewhere' ? 'it is not there any more' : one.way}</Small>
              </CarryRow>
            ))}
            <XStack paddingHorizontal={16} paddingVertical={10}>
              <Button
                label={own.some(({ state }) => state === 'done') ? 'Put back as it was' : 'Take off the list'}
                onPress={() => putBack(own)}
              />
            </XStack>
          </YStack>
        );
      })}
    </Screen>
  );
}
