import { useQuery } from '@tanstack/react-query';
import { YStack } from 'tamagui';
import { api } from '@/data/api/api';
import { Small, Strong } from '@/kit/text/Text';
import { useConnection, useHouseholdContext } from '@/shared/HouseholdProvider';
import { minutesSince, phoneWords, QUIET_MIN } from './words';

const AGAIN_MS = 30_000;

/** Whether what others recorded can be here: this phone's signal, and when the other phones of the home were last in touch. */
export function Phones() {
  const { me, store } = useHouseholdContext();
  const connection = useConnection();
  const { data, isError } = useQuery({
    queryKey: ['phones', me.householdId],
    queryFn: () => api('GET /phones', { about: me }),
    refetchInterval: AGAIN_MS,
    retry: 0,
  });
  const waiting = store.waiting.length;
  if (isError || (connection !== 'online' && connection !== 'connecting'))
    return (
      <Note>
        <Strong>{connection === 'signed_out' ? 'This phone is signed out.' : 'This phone has no signal now.'}</Strong>
        <Small>
          What others recorded since it was last in touch is not here, and they do not see what is recorded here
          {waiting > 0 ? ' yet' : ''}. Ask them before you give anything.
        </Small>
      </Note>
    );
  if (!data) return null;
  const now = Date.parse(data.now);
  const others = data.phones
    .filter(({ current }) => !current)
    .map(({ name, lastSeenAt }) => ({ name, minutes: minutesSince(Date.parse(lastSeenAt), now) }));
  // Of one person's several phones the one that was in touch last counts.
  const byName = new Map<string, number>();
  for (const { name, minutes } of others) byName.set(name, Math.min(minutes, byName.get(name) ?? Infinity));
  const quiet = [...byName].filter(([, minutes]) => minutes >= QUIET_MIN);
  if (quiet.length === 0)
    return byName.size === 0 ? null : <Small paddingHorizontal={16}>The other phones of the home are in touch.</Small>;
  return (
    <Note>
      {quiet.map(([name, minutes]) => (
        <Small key={name} color="$color">
          {phoneWords(name, minutes)}
        </Small>
      ))}
    </Note>
  );
}

const Note = ({ children }: { children: React.ReactNode }) => (
  <YStack
    role="status"
    testID="phones"
    marginHorizontal={16}
    padding={12}
    gap={4}
    borderRadius={10}
    borderWidth={1}
    borderColor="$soon"
    backgroundColor="$soonTint"
  >
    {children}
  </YStack>
);
