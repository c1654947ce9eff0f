import { layOutFront, summarizeNook, type FrontView, type NookSummary, type SpaceRow } from '@ours/core';
import { useHousehold } from '@/data/HouseholdProvider';
import { today } from '@/data/planContext';

export interface Front {
  space: SpaceRow;
  view: FrontView;
  summaryOf: (nookId: string) => NookSummary;
}

/** A space's drawing with what is in each of its nooks. */
export function useFront(spaceId: string | null): Front | null {
  return useHousehold(({ state }) => {
    const space = spaceId === null ? undefined : state.get('space', spaceId);
    if (!space || space.retired) return null;
    const view = layOutFront(space, state.shelvesOf(space.id), (id) => state.binsIn(id));
    const known = new Map<string, NookSummary>();
    const summaryOf = (id: string): NookSummary => {
      const summary = known.get(id) ?? summarizeNook(state, id, today());
      known.set(id, summary);
      return summary;
    };
    return { space, view, summaryOf };
  });
}
