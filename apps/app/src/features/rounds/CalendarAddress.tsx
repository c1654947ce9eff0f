import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { api } from '@/data/api/api';
import { useToast } from '@/kit/feedback/Toasts';
import { Field } from '@/kit/form/Field';
import { Button } from '@/kit/press/Button';
import { dayWords } from '@/kit/text/dayWords';
import { Small } from '@/kit/text/Text';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';

/** The address under which a calendar reads the rounds, and a new one when the former was given away. */
export function CalendarAddress() {
  const { me } = useHouseholdContext();
  const queries = useQueryClient();
  const toast = useToast();
  const [address, setAddress] = useState<string | null>(null);
  const key = ['calendar-feed', me.householdId];
  const { data, isError } = useQuery({
    queryKey: key,
    queryFn: () => api('GET /calendar-feed', { about: me }),
    retry: 0,
  });
  const again = (): Promise<void> => queries.invalidateQueries({ queryKey: key });
  const make = useMutation({
    mutationFn: () => api('POST /calendar-feed', { body: {}, about: me }),
    onSuccess: ({ path }) => {
      setAddress(`${location.origin}${path}`);
      void again();
    },
  });
  const end = useMutation({
    mutationFn: () => api('DELETE /calendar-feed', { about: me }),
    onSuccess: () => {
      setAddress(null);
      void again();
    },
  });
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(address ?? '');
      toast({ text: 'Copied.' });
    } catch {
      toast({ text: 'This browser does not copy by itself: choose the text and copy it.', problem: true });
    }
  };
  if (isError || make.isError || end.isError) return <Small>An address for your calendar needs a signal.</Small>;
  if (!data) return null;
  const since = data.since;
  return (
    <YStack gap={8} role="group" aria-label="Address for a calendar">
      {address ? (
        <>
          <Field
            label="Address for your calendar"
            value={address}
            editable={false}
            selectTextOnFocus
            hint="Whoever has it can read the rounds, and nothing else. It is shown only now."
          />
          <XStack gap={8}>
            <Button grow label="Copy it" onPress={() => void copy()} />
          </XStack>
        </>
      ) : (
        <Small>
          {since === null
            ? 'A calendar can follow the rounds by an address of its own.'
            : `A calendar follows the rounds by an address made on ${dayWords(today(new Date(since)), today())}. A new one ends it.`}
        </Small>
      )}
      <XStack gap={8} flexWrap="wrap">
        <Button
          label={since === null ? 'Make an address for a calendar' : 'A new address'}
          disabled={make.isPending}
          onPress={() => make.mutate()}
        />
        {since === null ? null : <Button kind="quiet" label="End the address" onPress={() => end.mutate()} />}
      </XStack>
    </YStack>
  );
}
