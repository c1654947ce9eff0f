import type { LookKind } from '@ours/contracts';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { api, ProblemAnswer } from '@/data/api/api';
import { useToast } from '@/kit/feedback/Toasts';
import { shareText } from '@/kit/files';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { LOOK_CHOICES, lookWords } from './words';

/** Addresses under which somebody without an account looks at one space, or at the list: made, handed on, ended. */
export function LooksDialog({
  what,
  spaceId,
  name,
  onClose,
}: {
  what: LookKind;
  spaceId: string | null;
  /** Of the space, or `the shopping list`. */
  name: string;
  onClose: () => void;
}) {
  const { me } = useHouseholdContext();
  const queries = useQueryClient();
  const toast = useToast();
  const [days, setDays] = useState('7');
  const [address, setAddress] = useState<string | null>(null);
  const key = ['looks', me.householdId];
  const { data, error } = useQuery({ queryKey: key, queryFn: () => api('GET /looks', { about: me }), retry: 0 });
  const again = (): Promise<void> => queries.invalidateQueries({ queryKey: key });
  const make = useMutation({
    mutationFn: () => api('POST /looks', { body: { what, spaceId, days: Number(days) }, about: me }),
    onSuccess: ({ path }) => {
      setAddress(`${location.origin}${path}`);
      void again();
    },
  });
  const end = useMutation({
    mutationFn: (id: string) => api('DELETE /looks/:id', { params: { id }, about: me }),
    onSuccess: () => {
      setAddress(null);
      void again();
      toast({ text: 'That address has ended.' });
    },
  });
  const handOn = async (): Promise<void> => {
    const how = await shareText(name, address ?? '');
    if (how === 'copied') toast({ text: 'Copied.' });
    if (how === 'failed')
      toast({ text: 'This browser does not share or copy by itself: choose the text and copy it.', problem: true });
  };
  const problem = [error, make.error, end.error].find((one) => one !== null);
  const own = (data?.looks ?? []).filter((look) => look.what === what && look.spaceId === spaceId);
  return (
    <Dialog title={`Show ${name} to somebody without an account`} open onClose={onClose}>
      <Small>
        Whoever has the address sees this and nothing else of the home, changes nothing, and can print it.
        {what === 'space' ? ' Medicines and notes are left out.' : ' Prices are left out.'}
      </Small>
      {problem ? (
        <Small role="alert" color="$late">
          {problem instanceof ProblemAnswer
            ? problem.message
            : 'Addresses are made by the server: this needs a signal.'}
        </Small>
      ) : null}
      {address === null ? (
        <>
          <Choices label="It ends after" wrap choices={LOOK_CHOICES} value={days} onChange={setDays} />
          <Button kind="primary" label="Make an address" disabled={make.isPending} onPress={() => make.mutate()} />
        </>
      ) : (
        <YStack gap={8} role="group" aria-label="The new address">
          <Field label="Address" value={address} editable={false} selectTextOnFocus hint="It is shown only now." />
          <XStack gap={8}>
            <Button grow kind="primary" label="Hand it on" onPress={() => void handOn()} />
            <Button label="Look at it" onPress={() => window.open(address, '_blank', 'noopener')} />
          </XStack>
        </YStack>
      )}
      {own.length === 0 ? null : (
        <YStack marginHorizontal={-16} role="group" aria-label="Addresses that were given out">
          <Strong paddingHorizontal={16} paddingTop={8}>
            Given out
          </Strong>
          {own.map((look) => (
            <ListRow
              key={look.id}
              title={what === 'space' ? name : 'Shopping list'}
              detail={lookWords(look, today())}
              detailLines={2}
              right={<Button label="End it" disabled={end.isPending} onPress={() => end.mutate(look.id)} />}
            />
          ))}
        </YStack>
      )}
      <Button kind="quiet" label="Done" onPress={onClose} />
    </Dialog>
  );
}
