import { useState } from 'react';
import { YStack } from 'tamagui';
import { useReminderWanted, wantReminders } from '@/features/reminders';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';

/** Whether this device reminds: asked of the browser when it is wanted. */
export function ReminderChoice() {
  const wanted = useReminderWanted();
  const [refused, setRefused] = useState(false);
  if (typeof Notification === 'undefined') return null;
  const toggle = async (): Promise<void> => {
    if (wanted) return wantReminders(false);
    const answer = await Notification.requestPermission();
    setRefused(answer !== 'granted');
    wantReminders(answer === 'granted');
  };
  return (
    <YStack gap={4}>
      <Button label={wanted ? 'Remind me no more' : 'Remind me on this device'} onPress={() => void toggle()} />
      <Small role="status">
        {refused
          ? 'This browser does not allow notifications for this address.'
          : wanted
            ? 'While the app is open, on whatever page.'
            : ''}
      </Small>
    </YStack>
  );
}
