import { roundsNow, type RoundNow } from '@ours/core';
import { useEffect } from 'react';
import { clockWords } from '@/kit/text/dayWords';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { useNow } from '@/shared/useNow';
import { useOwnPerson } from '@/shared/useOwnPerson';
import { dueTodayWords } from './words';

/** Of what this device reminded last. */
const TOLD = 'nook.reminded';

/** Shows a notification: by the service worker, as phones want it, else by the page. */
async function notify(body: string): Promise<void> {
  const options = { body, tag: 'rounds', data: '/rounds' };
  const worker = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  if (worker?.active) return worker.showNotification('Every Nook', options);
  new Notification('Every Nook', options);
}

/** What is due now of one's own rounds, and of everybody's: one with a time is not reminded of before it. */
const dueNow = (rounds: readonly RoundNow[], clock: string, personId: string | null): RoundNow[] =>
  rounds.filter(
    ({ due, lateDays, round: { at, personIds } }) =>
      due !== null &&
      (lateDays > 0 || (at ?? '') <= clock) &&
      (personId === null || personIds.length === 0 || personIds.includes(personId)),
  );

/** Once for the same rounds and day. */
export function Reminding() {
  const day = today();
  const personId = useOwnPerson();
  const clock = clockWords(new Date(useNow()));
  const { rounds } = useHousehold(({ state, version }) => ({ version, rounds: roundsNow(state, day) }));
  const due = dueNow(rounds, clock, personId);
  const words = due.length === 0 ? null : dueTodayWords(due);
  const told = `${day} ${due.map(({ round }) => round.id).join(' ')}`;
  useEffect(() => {
    if (words === null || Notification.permission !== 'granted' || localStorage.getItem(TOLD) === told) return;
    localStorage.setItem(TOLD, told);
    // Where a browser shows none after all, the page of rounds says the same.
    void notify(words).catch(() => undefined);
  }, [words, told]);
  return null;
}
