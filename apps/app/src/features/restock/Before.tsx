import type { ItemEvent } from '@ours/contracts';
import type { ItemRow } from '@ours/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { api } from '@/data/api/api';
import { ListHeading } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { beforeKept, keepBefore } from './beforeKept';
import { eventWords } from './words';

/** What happened to a thing, asked for when somebody wants it; what was seen once is shown without a signal, too. */
export function Before({ item }: { item: ItemRow }) {
  const { me } = useHouseholdContext();
  const [asked, setAsked] = useState(false);
  const [kept] = useState(() => beforeKept(item.id));
  const { data, isError, isFetching } = useQuery({
    queryKey: ['before', item.id],
    queryFn: async (): Promise<ItemEvent[]> => {
      const { events } = await api('GET /items/:id/events', { about: me, params: { id: item.id } });
      keepBefore(item.id, events);
      return events;
    },
    enabled: asked,
    retry: 0,
    refetchOnMount: 'always',
  });
  const events = data ?? kept;
  return (
    <YStack>
      <ListHeading title="Before" remark={data === undefined && kept !== null ? 'as seen on this device' : undefined} />
      {(events ?? []).map((event) => (
        <XStack key={event.id} paddingHorizontal={16} paddingVertical={6} backgroundColor="$background">
          <Small fontSize={15} color={event.undone ? '$second' : '$color'}>
            {eventWords({ ...event, unit: event.unit ?? item.unit })}
          </Small>
        </XStack>
      ))}
      {events?.length === 0 ? <Small paddingHorizontal={16}>Nothing has happened to it yet.</Small> : null}
      {isError ? (
        <Small paddingHorizontal={16} role="alert">
          What happened before is kept on the server, and that needs a signal.
        </Small>
      ) : null}
      {data === undefined ? (
        <XStack padding={16}>
          <Button
            label={isFetching ? 'Asking …' : events === null ? 'Show what happened' : 'Show what is new'}
            disabled={isFetching}
            onPress={() => setAsked(true)}
          />
        </XStack>
      ) : null}
    </YStack>
  );
}
