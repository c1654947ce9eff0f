import { codeKey } from '@ours/core';
import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { EmptyState } from '@/kit/layout/EmptyState';
import { Screen } from '@/kit/layout/Screen';
import { useHousehold } from '@/shared/HouseholdProvider';

/** Where a scan code leads: to the place that has it. */
export function CodeScreen() {
  const { code } = useLocalSearchParams<{ code: string }>();
  const router = useRouter();
  const key = codeKey(code ?? '');
  const place = useHousehold(({ state }) => {
    for (const kind of ['space', 'shelf', 'bin'] as const) {
      const found = state.all(kind).find((row) => codeKey(row.code) === key);
      if (found) return kind === 'space' ? `/space/${found.id}` : `/nook/${found.id}`;
    }
    return null;
  });
  if (place !== null) return <Redirect href={place as never} />;
  return (
    <Screen title="Scan code" back="/">
      <EmptyState
        text={`“${code ?? ''}” was read; no place of this home has that code. It may be of another home, or its place was removed.`}
        action="To Find"
        onPress={() => router.replace('/')}
      />
    </Screen>
  );
}
