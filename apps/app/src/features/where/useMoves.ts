import { dayNumber, handlingHome, leaveOf, takingsOf, type HandlingHome, type MovesAnswer } from '@ours/core';
import { useEffect, useState } from 'react';
import { aMoment } from '@/data/store/idle';
import type { MovesInput } from '@/jobs/movesJob';
import { useJob } from '@/jobs/useJob';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';

/** Things looked up between two looks at what the person does. */
const READ_AT_ONCE = 200;

export interface Moves {
  home: HandlingHome;
  answer: MovesAnswer;
}

/** Where things go, worked out anew whenever the home has changed. Null until the first answer is there. */
export function useMoves(spaceId: string | null): Moves | null {
  const { store } = useHouseholdContext();
  const version = useHousehold((snapshot) => snapshot.version);
  const [input, setInput] = useState<MovesInput | null>(null);
  useEffect(() => {
    let stopped = false;
    const read = async (): Promise<void> => {
      const { state } = store;
      const day = today();
      const number = dayNumber(day);
      const takings = new Map<string, number>();
      const items = state.all('item');
      for (let at = 0; at < items.length; at += READ_AT_ONCE) {
        if (at > 0) await aMoment();
        if (stopped) return;
        for (const { id } of items.slice(at, at + READ_AT_ONCE)) {
          const days = takingsOf(state, id, number);
          if (days !== null) takings.set(id, days);
        }
      }
      const home = handlingHome(state, day, takings);
      setInput({
        home,
        leave: [...leaveOf(state.all('as_it_is'), home)],
        spaceIds: spaceId === null ? null : [spaceId],
      });
    };
    if (store.isWhole) void read();
    return () => {
      stopped = true;
    };
  }, [store, version, spaceId]);
  const told = useJob('moves', input).at(-1);
  // While it is worked out anew the last answer is shown, with the home it is about: a list that shrinks and grows under a finger
  // has it press another row.
  const [last, setLast] = useState<(Moves & { spaceId: string | null }) | null>(null);
  if (input && told && (last?.home !== input.home || last.answer !== told)) {
    const asked = input.spaceIds?.[0] ?? null;
    const waits = last?.answer.complete === true && !told.complete && last.spaceId === asked;
    if (!waits) setLast({ home: input.home, answer: told, spaceId: asked });
  }
  return last;
}
