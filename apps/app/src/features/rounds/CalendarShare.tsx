import { CALENDAR_HOLDS, type CalendarHolds } from '@ours/contracts/wire';
import { homeCalendar } from '@ours/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { api } from '@/data/api/api';
import { useToast } from '@/kit/feedback/Toasts';
import { useSaveFile } from '@/kit/feedback/useSaveFile';
import { Field } from '@/kit/form/Field';
import { Toggles } from '@/kit/form/Toggles';
import { Button } from '@/kit/press/Button';
import { dayWords } from '@/kit/text/dayWords';
import { Small, Strong } from '@/kit/text/Text';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { HOLDS_WORDS, holdsWords } from './words';

/** Days of the home in somebody's own calendar: as a file, or by an address that the calendar follows. */
export function CalendarShare() {
  const { store } = useHouseholdContext();
  const saveFile = useSaveFile();
  const [holds, setHolds] = useState<readonly CalendarHolds[]>(['rounds']);
  const save = (): void => {
    const { now, today: day } = opContext();
    const holding = {
      rounds: holds.includes('rounds'),
      shopping: holds.includes('shopping'),
      dates: holds.includes('dates'),
    };
    saveFile('home.ics', 'text/calendar', homeCalendar(store.state, holding, day, now));
  };
  return (
    <YStack gap={8} role="group" aria-label="In your calendar">
      <Strong>In your calendar</Strong>
      <Toggles
        label="What it shows"
        all={CALENDAR_HOLDS.map((id) => ({ id, name: HOLDS_WORDS[id] }))}
        chosen={holds}
        onChange={(chosen) => setHolds(CALENDAR_HOLDS.filter((one) => chosen.includes(one)))}
      />
      <Button label="As a calendar file (iCalendar)" disabled={holds.length === 0} onPress={save} />
      <CalendarAddress holds={holds} />
    </YStack>
  );
}

/** The address under which a calendar reads days of the home, and a new one when the former was given away. */
function CalendarAddress({ holds }: { holds: readonly CalendarHolds[] }) {
  const { me } = useHouseholdContext();
  const queries = useQueryClient();
  const toast = useToast();
  const [made, setMade] = useState<{ address: string; holds: readonly CalendarHolds[] } | null>(null);
  const key = ['calendar-feed', me.householdId];
  const { data, isError } = useQuery({
    queryKey: key,
    queryFn: () => api('GET /calendar-feed', { about: me }),
    retry: 0,
  });
  const again = (): Promise<void> => queries.invalidateQueries({ queryKey: key });
  const make = useMutation({
    mutationFn: () => api('POST /calendar-feed', { body: { holds: [...holds] }, about: me }),
    onSuccess: ({ path }) => {
      setMade({ address: `${location.origin}${path}`, holds });
      void again();
    },
  });
  const end = useMutation({
    mutationFn: () => api('DELETE /calendar-feed', { about: me }),
    onSuccess: () => {
      setMade(null);
      void again();
    },
  });
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(made?.address ?? '');
      toast({ text: 'Copied.' });
    } catch {
      toast({ text: 'This browser does not copy by itself: choose the text and copy it.', problem: true });
    }
  };
  if (isError || make.isError || end.isError) return <Small>An address for your calendar needs a signal.</Small>;
  if (!data) return null;
  const { since } = data;
  return (
    <YStack gap={8} role="group" aria-label="Address for a calendar">
      {made ? (
        <>
          <Field
            label="Address for your calendar"
            value={made.address}
            editable={false}
            selectTextOnFocus
            hint={`Whoever has it can read ${holdsWords(made.holds)}, and nothing else. It is shown only now.`}
          />
          <XStack gap={8}>
            <Button grow label="Copy it" onPress={() => void copy()} />
          </XStack>
        </>
      ) : (
        <Small>
          {since === null
            ? 'A calendar can follow them by an address of its own.'
            : `A calendar follows ${holdsWords(data.holds)} by an address made on ${dayWords(today(new Date(since)), today())}. A new one ends it.`}
        </Small>
      )}
      <XStack gap={8} flexWrap="wrap">
        <Button
          label={since === null ? 'Make an address for a calendar' : 'A new address'}
          disabled={make.isPending || holds.length === 0}
          onPress={() => make.mutate()}
        />
        {since === null ? null : <Button kind="quiet" label="End the address" onPress={() => end.mutate()} />}
      </XStack>
    </YStack>
  );
}
