import type { CivilDate, RoundNow } from '@ours/core';
import { useEffect, useState } from 'react';
import { YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { dueTodayWords } from './words';

/** Whether this device reminds, and on which day it did last. */
const WANTED = 'nook.remind';
const TOLD = 'nook.reminded';

const can = (): boolean => typeof Notification !== 'undefined';

const isWanted = (): boolean => localStorage.getItem(WANTED) === 'yes';

/**
 * The browser's own notification of what is due, once a day, on a device that wants it. Nothing is pushed: it comes while the app
 * is open.
 */
export function useReminder(rounds: readonly RoundNow[], today: CivilDate): void {
  const due = rounds.filter((one) => one.due !== null);
  const words = due.length === 0 ? null : dueTodayWords(due);
  useEffect(() => {
    if (words === null || !isWanted() || !can() || Notification.permission !== 'granted') return;
    if (localStorage.getItem(TOLD) === today) return;
    localStorage.setItem(TOLD, today);
    try {
      new Notification('Every Nook', { body: words, tag: 'rounds' });
    } catch {
      // Some browsers show notifications only from a service worker: the page says the same.
    }
  }, [words, today]);
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
            ? 'Once a day, while the app is open.'
            : ''}
      </Small>
    </YStack>
  );
}
