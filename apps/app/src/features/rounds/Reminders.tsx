import type { CivilDate, RoundNow } from '@ours/core';
import { useEffect, useState } from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { dueTodayWords } from './words';

/** Whether this device reminds, and on which day it did last. */
const WANTED = 'nook.remind';
const TOLD = 'nook.reminded';

const can = (): boolean => typeof Notification !== 'undefined';

/**
 * The browser's own notification of what is due, once a day, on a device that wants it. Nothing is pushed: it comes while the app
 * is open, and says so.
 */
export function Reminders({ rounds, today }: { rounds: readonly RoundNow[]; today: CivilDate }) {
  const [wanted, setWanted] = useState(() => localStorage.getItem(WANTED) === 'yes');
  const [refused, setRefused] = useState(false);
  const due = rounds.filter((one) => one.due !== null);
  const words = dueTodayWords(due);
  useEffect(() => {
    if (!wanted || !can() || Notification.permission !== 'granted' || due.length === 0) return;
    if (localStorage.getItem(TOLD) === today) return;
    localStorage.setItem(TOLD, today);
    try {
      new Notification('Every Nook', { body: words, tag: 'rounds' });
    } catch {
      // Some browsers show notifications only from a service worker: the page says the same.
    }
  }, [wanted, due.length, words, today]);
  if (!can() || rounds.length === 0) return null;
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
    <XStack paddingHorizontal={16} gap={8} alignItems="center">
      <Button
        kind="quiet"
        label={wanted ? 'Remind me no more' : 'Remind me on this device'}
        onPress={() => void toggle()}
      />
      <Small flex={1} role="status">
        {refused
          ? 'This browser does not allow notifications for this address.'
          : wanted
            ? 'Once a day, while the app is open.'
            : ''}
      </Small>
    </XStack>
  );
}
