import { modelSpace } from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useHousehold } from '@/shared/HouseholdProvider';
import { EmptyState } from '@/kit/layout/EmptyState';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { StepNav } from '@/kit/layout/StepNav';
import { planSteps } from '@/shared/planSteps';
import { Planning } from './PlanBoard';

/** The whole space planned: which containers, where, with which shelves moved. */
export function PlanScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const found = useHousehold(({ state }) => {
    const space = id ? state.get('space', id) : undefined;
    if (!space || space.retired) return null;
    return {
      space,
      measured: modelSpace(space, state.shelvesOf(space.id)).shelves.length,
      containers: state.all('container').length,
    };
  });
  if (!found) {
    return <NotHere what="This place" />;
  }
  const { space, measured, containers } = found;
  return (
    <Screen title="Plan" sub={space.name} back={`/space/${space.id}`}>
      <StepNav label="Setting up" steps={planSteps(space.id)} />
      {measured === 0 || containers === 0 ? (
        <EmptyState
          text={
            measured === 0
              ? 'No shelf here is measured yet. Width, depth and height of one are enough to begin.'
              : 'No containers are written down yet. Begin with what is in the house; shoe boxes count.'
          }
          action={measured === 0 ? 'Measure' : 'Add containers'}
          onPress={() => router.push((measured === 0 ? `/space/${space.id}/measure` : '/containers') as never)}
        />
      ) : (
        <Planning key={space.id} space={space} />
      )}
    </Screen>
  );
}
