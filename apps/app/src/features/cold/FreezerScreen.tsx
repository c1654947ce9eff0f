import {
  addDays,
  freezerBoard,
  openPicks,
  opsForPicking,
  opsForTakingOut,
  pickedOf,
  thawPlaceOf,
  type FrozenLot,
  type Picked,
} from '@ours/core';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { weekdayAndDay, weekdayWords } from '@/kit/text/dayWords';
import { Mark } from '@/kit/text/Mark';
import { Small } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { shelfWords, wayTo } from '@/shared/placeWords';
import { useGuide } from '@/shared/useGuide';
import { useRunCommand } from '@/shared/useRunCommand';
import { amountOfWords, amountWords, dueMark, usualStep } from '@/features/stock/words';
import { frozenWords, pickWords, THAW_CAUTION } from './words';

/** A freezer as a board: what is in each layer and for how long; what is picked for the week, and when it comes out. */
export function FreezerScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const day = today();
  const board = useHousehold(({ state, version }) => {
    const space = id ? state.get('space', id) : undefined;
    if (!space || space.retired) return null;
    return { space, layers: freezerBoard(state, space.id, day), picks: openPicks(state), version };
  });
  const [open, setOpen] = useState<string | null>(null);
  if (!board) return <NotHere what="This freezer" />;
  const { space, layers, picks } = board;
  const lots = layers.reduce((sum, layer) => sum + layer.lots.length, 0);
  return (
    <Screen title="What is frozen" sub={space.name} back={`/space/${space.id}`}>
      <Picks picks={picks} day={day} />
      {lots === 0 ? (
        <EmptyState text="Nothing is recorded in this freezer. Record what is in it, layer by layer; here one sees then how long it is in, and picks for the week." />
      ) : null}
      {layers.map(({ nookId, lots: own }) => (
        <YStack key={nookId}>
          <LayerHeading nookId={nookId} count={own.length} />
          {own.map((one) => (
            <FrozenRow
              key={one.lot.id}
              one={one}
              picked={pickedOf(picks, one.lot.id)}
              open={open === one.lot.id}
              onOpen={() => setOpen((now) => (now === one.lot.id ? null : one.lot.id))}
            />
          ))}
        </YStack>
      ))}
    </Screen>
  );
}

function LayerHeading({ nookId, count }: { nookId: string; count: number }) {
  const title = useHousehold(({ state }) => {
    const shelf = state.get('shelf', nookId);
    return shelf ? shelfWords(state, shelf) : 'Beside the layers';
  });
  return <ListHeading title={title} remark={counted(count, { one: '# lot', other: '# lots' })} />;
}

/** What was picked: what comes out today first. One tap takes it out, and it has its day from then on. */
function Picks({ picks, day }: { picks: readonly Picked[]; day: string }) {
  const runCommand = useRunCommand();
  const { store } = useHouseholdContext();
  const place = useHousehold(({ state }) => thawPlaceOf(state));
  const way = useHousehold(({ state }) =>
    place === null ? '' : (wayTo(state, place)?.steps.slice(1, 3).join(' › ') ?? ''),
  );
  if (picks.length === 0) return null;
  const takeOut = (picked: Picked): void => {
    const { lot, item } = picked;
    const to = place ?? lot?.nookId;
    if (!lot || !item || !to) return;
    const ops = opsForTakingOut(picked, to, store.state.lotsIn(to), opContext());
    void runCommand(
      'stock_thawed',
      ops,
      `Out to thaw: ${amountOfWords(picked.pick.amountThousandths - picked.shortThousandths, item)}.`,
    );
  };
  const drop = ({ pick, item }: Picked): void =>
    void runCommand(
      'pick_dropped',
      [{ op: 'retire', entity: 'pick', id: pick.id }],
      `${item?.name ?? 'It'} stays in the freezer.`,
    );
  return (
    <YStack>
      <ListHeading title="Picked for the week" remark={way === '' ? undefined : `thaws in ${way}`} />
      {picks.map((picked) => {
        const { pick, item, lot, thawOn, shortThousandths } = picked;
        const due = thawOn <= day;
        const gone = lot === null || shortThousandths >= pick.amountThousandths;
        return (
          <ListRow
            key={pick.id}
            title={`${item?.name ?? 'A thing that is gone'}, ${amountWords(pick.amountThousandths, item?.unit ?? 'piece')}`}
            detail={pickWords(picked, day)}
            right={
              <>
                {gone ? null : (
                  <Button kind={due ? 'primary' : 'plain'} label="Out to thaw" onPress={() => takeOut(picked)} />
                )}
                <Button kind="quiet" label="Take off" onPress={() => drop(picked)} />
              </>
            }
          />
        );
      })}
      <Small padding={16}>{THAW_CAUTION}</Small>
    </YStack>
  );
}

function FrozenRow({
  one: { lot, item, days },
  picked,
  open,
  onOpen,
}: {
  one: FrozenLot;
  picked: number;
  open: boolean;
  onOpen: () => void;
}) {
  const runCommand = useRunCommand();
  const guide = useGuide();
  const day = today();
  const mark = dueMark(lot, item, day, guide);
  const left = lot.quantityThousandths - picked;
  const [amount, setAmount] = useState(1000);
  const step = usualStep(item.unit);
  const some = Math.min(amount, left);
  const week = Array.from({ length: 7 }, (_, ahead) => addDays(day, ahead + 1));
  const pick = (forDay: string): void => {
    onOpen();
    const ops = opsForPicking(lot, some, forDay, opContext());
    void runCommand('stock_picked', ops, `Picked for ${weekdayAndDay(forDay, day)}: ${amountOfWords(some, item)}.`);
  };
  return (
    <YStack>
      <ListRow
        title={`${item.name}, ${amountWords(lot.quantityThousandths, item.unit)}`}
        detail={[frozenWords(lot, item, days, day, guide), picked > 0 ? `${amountWords(picked, item.unit)} picked` : '']
          .filter((part) => part !== '')
          .join(' · ')}
        selected={open}
        onPress={onOpen}
        right={
          <>
            {mark ? <Mark {...mark} /> : null}
            <NookPlate nookId={lot.nookId} />
          </>
        }
      />
      {open ? (
        <YStack padding={16} gap={10} backgroundColor="$background" borderBottomWidth={1} borderColor="$borderColor">
          {left <= 0 ? (
            <Small>All of it is picked.</Small>
          ) : (
            <>
              <XStack gap={8} alignItems="center">
                <Button label="Less" disabled={some <= step} onPress={() => setAmount(Math.max(step, some - step))} />
                <Small flex={1} textAlign="center" fontSize={16} color="$color">
                  {amountWords(some, item.unit)}
                </Small>
                <Button label="More" disabled={some >= left} onPress={() => setAmount(Math.min(left, some + step))} />
              </XStack>
              <Choices
                label="For which day?"
                wrap
                choices={week.map((value, at) => ({ value, label: at === 0 ? 'tomorrow' : weekdayWords(value) }))}
                value={null}
                onChange={pick}
              />
            </>
          )}
        </YStack>
      ) : null}
    </YStack>
  );
}
