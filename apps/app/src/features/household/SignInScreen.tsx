import type { Me } from '@ours/contracts';
import { PASSWORD_LEAST } from '@ours/contracts/wire';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView, YStack } from 'tamagui';
import { api, ProblemAnswer } from '@/data/api/api';
import { useSession } from '@/shared/SessionProvider';
import { Problem } from '@/kit/feedback/Problem';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Form } from '@/kit/form/Form';
import type { Input } from '@/kit/form/inputs';
import { Small, Title, Text } from '@/kit/text/Text';
import { wrongAtSignIn, type SignInValues, type Way } from './signInRules';

const EMPTY: Record<keyof SignInValues, string> = {
  name: '',
  email: '',
  password: '',
  householdName: '',
  invitation: '',
};
const ASKED: Readonly<Record<Way, readonly (keyof SignInValues)[]>> = {
  in: ['email', 'password'],
  new: ['name', 'householdName', 'email', 'password'],
  join: ['name', 'invitation', 'email', 'password'],
};
const inputsOf = (way: Way): Record<keyof SignInValues, Input> => ({
  name: { label: 'Your name', native: { autoComplete: 'name' } },
  householdName: { label: 'Name of the home' },
  invitation: {
    label: 'Invitation code',
    hint: 'Someone at home gets it under “Home and people”.',
    native: { autoCapitalize: 'characters' },
  },
  email: { label: 'E-mail', native: { inputMode: 'email', autoCapitalize: 'none', autoComplete: 'email' } },
  password: {
    label: 'Password',
    native: { secureTextEntry: true, autoComplete: way === 'in' ? 'current-password' : 'new-password' },
    ...(way === 'in' ? {} : { hint: `At least ${PASSWORD_LEAST} characters.` }),
  },
});

/** Signing in, starting a home, joining one, or looking at the demo home. */
export function SignInScreen() {
  const [way, setWay] = useState<Way>('in');
  const { signedIn } = useSession();
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { data: status } = useQuery({
    queryKey: ['status'],
    queryFn: () => api('GET /status'),
    retry: 1,
  });

  const enter = async (asking: () => Promise<Me>): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      signedIn(await asking());
      router.replace('/');
    } catch (error) {
      setProblem(
        error instanceof ProblemAnswer
          ? `${error.problem.detail.replace(/\.$/, '')}.`
          : 'The server cannot be reached; try again when there is a signal.',
      );
    } finally {
      setBusy(false);
    }
  };
  const submit = (values: SignInValues): Promise<void> => {
    const { name, email, password, householdName, invitation } = values;
    if (way === 'in') return enter(() => api('POST /sessions', { body: { email, password } }));
    const own = way === 'new' ? { householdName } : { invitation };
    return enter(() => api('POST /accounts', { body: { name, email, password, ...own } }));
  };
  return (
    <YStack flex={1} backgroundColor="$backgroundStrong" render="main">
      <ScrollView flex={1} keyboardShouldPersistTaps="handled">
        <YStack padding={20} paddingTop={40} gap={20} width="100%" maxWidth={460} alignSelf="center">
          <YStack gap={4}>
            <Title fontSize={30} lineHeight={36}>
              Every Nook
            </Title>
            <Text>What is where at home, how many, and until when.</Text>
          </YStack>
          {status?.demo ? (
            <Button
              kind="primary"
              label="Open the demo home"
              disabled={busy}
              onPress={() => void enter(() => api('POST /demo-session', { body: {} }))}
            />
          ) : null}
          <Choices
            label="How do you come in?"
            hideLabel
            wrap
            choices={[
              { value: 'in', label: 'Sign in' },
              { value: 'new', label: 'New home' },
              { value: 'join', label: 'Join a home' },
            ]}
            value={way}
            onChange={setWay}
          />
          <Form
            inputs={inputsOf(way)}
            start={EMPTY}
            check={(texts) => wrongAtSignIn(way, texts)}
            onSubmit={(texts) => void submit(texts)}
            late
          >
            {({ draw, submit: send }) => (
              <YStack gap={20}>
                {ASKED[way].map(draw)}
                <Problem text={problem} />
                <Button
                  kind={status?.demo ? 'plain' : 'primary'}
                  disabled={busy}
                  label={{ in: 'Sign in', new: 'Start the home', join: 'Join the home' }[way]}
                  onPress={() => send()}
                />
              </YStack>
            )}
          </Form>
          <Small>Everything you record stays on this device as well, so it opens without a signal.</Small>
        </YStack>
      </ScrollView>
    </YStack>
  );
}
