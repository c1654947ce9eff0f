import {
  formatMoney,
  buyingListOf,
  opsForBuying,
  MOST_OPS_PER_COMMAND,
  opsForWholeSetUp,
  type ContainerRow,
  type PlanRow,
  type SpaceRow,
} from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { useHome } from '@/shared/useHome';
import { EmptyState } from '@/kit/layout/EmptyState';
import { counted } from '@/kit/text/counted';
import { Button } from '@/kit/press/Button';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { shareText } from '@/kit/files';
import { useSaveFile } from '@/kit/feedback/useSaveFile';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { StepNav } from '@/kit/layout/StepNav';
import { useToast } from '@/kit/feedback/Toasts';
import { Stepper } from '@/kit/form/Stepper';
import { Small, Text } from '@/kit/text/Text';
import { opContext } from '@/shared/opContext';
import { planSteps } from '@/shared/planSteps';
import { useFront } from '@/features/drawing';
import { CutLists } from '@/features/cutting';
import { opsForSettling } from '@/features/rounds';
import { buyingListRows, buyingListText, moveWords, textAsPdf } from './buyingListText';
import { MeasuresButton } from './MeasuresButton';
import { NeedsALook } from './NeedsALook';
import { viewPlan } from './planView';
import { lotsOfGroups } from './usePlanWork';
import { boughtWords, totalWords } from './words';
import { sizeWords } from '@/features/fit/words';
import { Wishes } from '@/features/wishes';

/** What the chosen plan asks one to buy, to take from the pool, to move and to cut. */
export function BuyingListScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const found = useHousehold(({ state }) => {
    const space = id ? state.get('space', id) : undefined;
    if (!space || space.retired) return null;
    const plans = state.plansOf(space.id);
    return { space, plan: plans.find(({ status }) => status === 'chosen') ?? plans.at(-1) ?? null };
  });
  if (!found) {
    return <NotHere what="This place" />;
  }
  const { space, plan } = found;
  return (
    <Screen title="Get" sub={space.name} back={`/space/${space.id}`}>
      <StepNav label="Setting up" steps={planSteps(space.id)} />
      {plan ? <PlanList space={space} plan={plan} /> : <NoPlan space={space} />}
      <CutLists space={space} />
    </Screen>
  );
}

function NoPlan({ space }: { space: SpaceRow }) {
  const router = useRouter();
  const front = useFront(space.id);
  return (
    <YStack>
      <EmptyState
        text="No plan yet, so nothing is to be bought. What is to be cut for this space is below."
        action="Make a plan"
        onPress={() => router.replace(`/space/${space.id}/mix`)}
      />
      {front ? (
        <XStack paddingHorizontal={16}>
          <MeasuresButton space={space} front={front.view} list={null} />
        </XStack>
      ) : null}
    </YStack>
  );
}

function PlanList({ space, plan }: { space: SpaceRow; plan: PlanRow }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const toast = useToast();
  const { unit, currency } = useHome();
  const saveFile = useSaveFile();
  const [again, setAgain] = useState(true);
  const { list, state } = useHousehold((snapshot) => ({
    list: buyingListOf(snapshot.state, plan),
    state: snapshot.state,
  }));
  const title = `${space.name}, ${plan.name}`;
  const text = buyingListText(title, list, unit, currency);
  const share = async (): Promise<void> => {
    const how = await shareText(title, text);
    if (how === 'copied') toast({ text: 'Copied: the list as text.' });
    if (how === 'failed')
      toast({ text: 'This device would not share or copy the list; save it as a file.', problem: true });
  };
  const csv = async (): Promise<void> => {
    const { default: Papa } = await import('papaparse');
    saveFile('to-buy.csv', 'text/csv', Papa.unparse(buyingListRows(list), { newline: '\r\n' }));
  };
  const pdf = async (): Promise<void> => saveFile('to-get.pdf', 'application/pdf', await textAsPdf(text));
  const bring = (container: ContainerRow, more: number): void =>
    void runCommand('container_bought', opsForBuying(plan, container, more), boughtWords(container.name, more));
  const setUp = async (): Promise<void> => {
    const all = [
      ...opsForWholeSetUp(state, plan, lotsOfGroups(state, space, plan), opContext()),
      ...(again ? opsForSettling(space) : []),
    ];
    // A large space is more than one command takes: bins first, then things; each is taken back by itself.
    for (let at = 0; at < all.length; at += MOST_OPS_PER_COMMAND) {
      const part = all.slice(at, at + MOST_OPS_PER_COMMAND);
      const refusal = await runCommand('space_set_up', part, `Set up as planned: ${space.name}.`);
      if (refusal !== null) return;
    }
    router.replace(`/space/${space.id}`);
  };
  return (
    <YStack testID="get-list">
      <ListHeading
        title={`To buy for ${plan.name}`}
        remark={list.lines.length === 0 ? 'nothing' : formatMoney(list.openMinor, currency)}
      />
      {list.lines.map(({ container, count, bought, costMinor }) => (
        <ListRow
          key={container.id}
          title={`${count} × ${container.name}`}
          detail={`${sizeWords(container, unit)}${costMinor === null ? '' : ` · ${formatMoney(costMinor, currency)}`}`}
          right={
            <>
              {count - bought > 1 ? <Button label="All" onPress={() => bring(container, count - bought)} /> : null}
              <Stepper
                label={`Bought: ${container.name}`}
                value={bought >= count ? `${bought} ✓` : `${bought}`}
                less={`Not bought: one ${container.name}`}
                more={`Bought one ${container.name}`}
                canLess={bought > 0}
                canMore={bought < count}
                onLess={() => bring(container, -1)}
                onMore={() => bring(container, 1)}
              />
            </>
          }
        />
      ))}
      {list.lines.length > 0 ? (
        <Small paddingHorizontal={16} paddingTop={8}>
          {totalWords(list, plan.budgetMinor, currency)}
        </Small>
      ) : null}
      <ListHeading
        title="From the house"
        remark={counted(
          list.pool.reduce((sum, { count }) => sum + count, 0),
          { one: '# container', other: '# containers' },
        )}
      />
      {list.pool.map(({ container, count }) => (
        <ListRow key={container.id} title={`${count} × ${container.name}`} detail={sizeWords(container, unit)} />
      ))}
      <ListHeading title="Shelves to move" remark={list.moves.length === 0 ? 'none' : undefined} />
      {list.moves.map((move) => (
        <ListRow key={move.shelfId} title={moveWords(move, unit)} />
      ))}
      <NeedsALook space={space} loose={plan.loose ?? []} />
      <Wishes nookId={space.id} />
      <XStack padding={16} gap={8} flexWrap="wrap">
        <Button label="Share as text" onPress={() => void share()} />
        <Button label="Table (CSV)" onPress={() => void csv()} />
        <Button label="PDF" onPress={() => void pdf()} />
        <MeasuresButton space={space} front={viewPlan(state, space, plan).front} list={list} />
      </XStack>
      <YStack paddingHorizontal={16} paddingBottom={16} gap={6}>
        <XStack gap={12} alignItems="center">
          <CheckSquare
            label="Look at it again in three weeks"
            state={again ? 'ticked' : 'open'}
            onPress={() => setAgain(!again)}
          />
          <Text flex={1}>Look at it again in three weeks: it stands under Rounds.</Text>
        </XStack>
        <Button kind="primary" label="Set up as planned" onPress={() => void setUp()} />
        <Small>
          Shelves go to their holes and bins to their places. A bin that holds most of a group stays the same, with what
          is in it.
        </Small>
      </YStack>
    </YStack>
  );
}
