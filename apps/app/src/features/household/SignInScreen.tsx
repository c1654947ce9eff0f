import type { Me } from '@ours/contracts';
import { PASSWORD_LEAST } from '@ours/contracts/wire';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { ScrollView, YStack } from 'tamagui';
import { api, ProblemAnswer } from '@/data/api/api';
import { useSession } from '@/shared/SessionProvider';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Small, Title, Text } from '@/kit/text/Text';
import { signInResolver, type SignInValues, type Way } from './signInRules';

/** Signing in, starting a home, joining one, or looking at the demo home. */
export function SignInScreen() {
  const [way, setWay] = useState<Way>('in');
  const { signedIn } = useSession();
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { data: status } = useQuery({
    queryKey: ['status'],
    queryFn: () => api<{ demo: boolean }>('GET', '/status'),
    retry: 1,
  });
  const { control, handleSubmit } = useForm<SignInValues>({
    // The rules come when the form is sent: the page is shown without them.
    resolver: signInResolver(way),
    defaultValues: { name: '', email: '', password: '', householdName: '', invitation: '' },
  });

  const enter = async (path: string, body: unknown): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      signedIn(await api<Me>('POST', path, body));
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
  const submit = handleSubmit((values) => {
    if (way === 'in') return enter('/sessions', { email: values.email, password: values.password });
    const { name: called, email: address, password: secret } = values;
    const own = way === 'new' ? { householdName: values.householdName } : { invitation: values.invitation };
    return enter('/accounts', { name: called, email: address, password: secret, ...own });
  });
  const field = (key: keyof SignInValues, label: string, more: object = {}) => (
    <Controller
      key={key}
      control={control}
      name={key}
      render={({ field: one, fieldState }) => (
        <Field
          label={label}
          value={one.value}
          onChangeText={one.onChange}
          onBlur={one.onBlur}
          problem={fieldState.error?.message}
          onSubmitEditing={() => void submit()}
          {...more}
        />
      )}
    />
  );
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
              onPress={() => void enter('/demo-session', {})}
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
          {way === 'in' ? null : field('name', 'Your name', { autoComplete: 'name' })}
          {way === 'new' ? field('householdName', 'Name of the home') : null}
          {way === 'join'
            ? field('invitation', 'Invitation code', {
                autoCapitalize: 'characters',
                hint: 'Someone at home gets it under “Home and people”.',
              })
            : null}
          {field('email', 'E-mail', { inputMode: 'email', autoCapitalize: 'none', autoComplete: 'email' })}
          {field('password', 'Password', {
            secureTextEntry: true,
            autoComplete: way === 'in' ? 'current-password' : 'new-password',
            ...(way === 'in' ? {} : { hint: `At least ${PASSWORD_LEAST} characters.` }),
          })}
          {problem ? (
            <Text role="alert" color="$late">
              {problem}
            </Text>
          ) : null}
          <Button
            kind={status?.demo ? 'plain' : 'primary'}
            disabled={busy}
            label={{ in: 'Sign in', new: 'Start the home', join: 'Join the home' }[way]}
            onPress={() => void submit()}
          />
          <Small>Everything you record stays on this device as well, so it opens without a signal.</Small>
        </YStack>
      </ScrollView>
    </YStack>
  );
}
