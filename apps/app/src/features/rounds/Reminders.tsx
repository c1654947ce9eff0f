import type { CivilDate, RoundNow } from '@ours/core';
import { useEffect, useState } from 'react';
import { YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { clockWords } from '@/kit/text/dayWords';
import { useNow } from '@/shared/useNow';
import { dueTodayWords } from './words';

/** Whether this device reminds, and of what it did last. */
const WANTED = 'nook.remind';
const TOLD = 'nook.reminded';

const can = (): boolean => typeof Notification !== 'undefined';

const isWanted = (): boolean => localStorage.getItem(WANTED) === 'yes';

/**
 * The browser's own notification of what is due, once for the same rounds and day, on a device that wants it. Nothing is pushed: it
 * comes while the app is open.
 */
export function useReminder(rounds: readonly RoundNow[], today: CivilDate): void {
  const clock = clockWords(new Date(useNow()));
  // A round with a time is not reminded of before it.
  const due = rounds.filter((one) => one.due !== null && (one.lateDays > 0 || (one.round.at ?? '') <= clock));
  const words = due.length === 0 ? null : dueTodayWords(due);
  const told = `${today} ${due.map(({ round }) => round.id).join(' ')}`;
  useEffect(() => {
    if (words === null || !isWanted() || !can() || Notification.permission !== 'granted') return;
    if (localStorage.getItem(TOLD) === told) return;
    localStorage.setItem(TOLD, told);
    try {
      new Notification('Every Nook', { body: words, tag: 'rounds' });
    } catch {
      // Some browsers show notifications only from a service worker: the page says the same.
    }
  }, [words, told]);
}

/** Whether this device reminds: asked of the browser when it is wanted. */
export function ReminderChoice() {
  const [wanted, setWanted] = useState(isWanted);
  const [refused, setRefused] = useState(false);
  if (!can()) return null;
  const toggle = async (): Promise<void> => {
    if (wanted) {
      localStorage.removeItem(WANTED);
      return setWanted(false);
    }
    const answer = await Notification.requestPermission();
    setRefused(answer !== 'granted');
    if (answer !== 'granted') return;
    localStorage.setItem(WANTED, 'yes');
    setWanted(true);
  };
  return (
    <YStack gap={4}>
      <Button label={wanted ? 'Remind me no more' : 'Remind me on this device'} onPress={() => void toggle()} />
      <Small role="status">
        {refused
          ? 'This browser does not allow notifications for this address.'
          : wanted
            ? 'While the app is open.'
            : ''}
      </Small>
    </YStack>
  );
}
