import type { LookPage } from '@ours/contracts';
import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import { YStack } from 'tamagui';
import { api, ProblemAnswer } from '@/data/api/api';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { Small, Text } from '@/kit/text/Text';
import { dayWords } from '@/kit/text/dayWords';
import { today } from '@/shared/opContext';
import { LookList } from './LookList';
import { LookSpace } from './LookSpace';
import { dayOf, readAtWords } from './words';

/** One space or the list of a home, for somebody without an account: to read and to print. */
export function LookScreen() {
  const { secret } = useLocalSearchParams<{ secret: string }>();
  const { data, error, isFetching, refetch } = useQuery({
    queryKey: ['look', secret],
    queryFn: () => api('GET /look/:secret', { params: { secret: secret ?? '' } }),
    retry: 0,
  });
  if (data) return <Page page={data} again={() => void refetch()} failed={error !== null} busy={isFetching} />;
  const words =
    error instanceof ProblemAnswer
      ? error.problem.code === 'not_found'
        ? 'There is nothing under this address, or it has ended. Ask whoever gave it to you for a new one.'
        : error.message
      : error
        ? 'The server cannot be reached. This page needs a signal.'
        : 'Opening …';
  return (
    <Screen title="Every Nook">
      <YStack padding={16} gap={12} role={error ? 'alert' : 'status'}>
        <Text>{words}</Text>
        {error && !(error instanceof ProblemAnswer) ? (
          <Button label="Try again" disabled={isFetching} onPress={() => void refetch()} />
        ) : null}
      </YStack>
    </Screen>
  );
}

function Page({ page, again, failed, busy }: { page: LookPage; again: () => void; failed: boolean; busy: boolean }) {
  const day = today();
  const space = page.what === 'space' ? page.rows.find((row) => row.entity === 'space') : undefined;
  const title = page.what === 'list' ? 'Shopping list' : space?.entity === 'space' ? space.row.name : '';
  return (
    <Screen title={title} sub={page.home} right={<Button label="Print" onPress={() => window.print()} />}>
      {page.what === 'space' ? <LookSpace page={page} /> : <LookList page={page} />}
      <YStack padding={16} gap={4}>
        <Small>
          {`As it was ${readAtWords(page.asOf, day)}. This address ends ${dayWords(dayOf(page.endsAt), day)}.`}
        </Small>
        {failed ? (
          <Small role="alert" color="$late">
            What is new could not be read: the server cannot be reached, or the address has ended.
          </Small>
        ) : null}
        <YStack alignSelf="flex-start" className="no-print">
          <Button kind="quiet" label={busy ? 'Reading …' : 'Read again'} disabled={busy} onPress={again} />
        </YStack>
      </YStack>
    </Screen>
  );
}
