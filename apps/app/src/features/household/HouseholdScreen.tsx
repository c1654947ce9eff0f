import type { Me } from '@ours/contracts';
import type { HouseholdFields } from '@ours/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { api, ProblemAnswer } from '@/data/api/api';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { useUnsentPictures } from '@/shared/PhotosProvider';
import { useSession } from '@/shared/SessionProvider';
import { today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { dayWords } from '@/kit/text/dayWords';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { isSpeechOn, recognitionOf, setSpeechOn } from '@/kit/speech/speechChoice';
import { useThemeChoice } from '@/kit/theme/ThemeChoice';
import { Mono, Small, Text } from '@/kit/text/Text';
import { personWords, sessionWords, unsentWords } from './words';

/** The home and its habits, the people, this account and its devices. */
export function HouseholdScreen() {
  const { me, store } = useHouseholdContext();
  const { signOut } = useSession();
  const router = useRouter();
  const runCommand = useRunCommand();
  const home = useHousehold(({ state }) => state.get('household', me.householdId));
  const people = useHousehold(({ state }) => state.all('person'));
  const pictures = useUnsentPictures();
  const waiting = useHousehold(({ store }) => store.waiting.length + store.refused.length) + pictures;
  const [sure, setSure] = useState(false);
  const theme = useThemeChoice();
  const change = (fields: Partial<HouseholdFields>, done: string): void =>
    void runCommand('household_changed', [{ op: 'change', entity: 'household', id: me.householdId, fields }], done);
  const unit = home?.lengthUnit ?? 'metric';
  return (
    <Screen title={home?.name ?? me.householdName} back="/">
      <YStack padding={16} gap={16}>
        {home ? <HomeName key={home.name} name={home.name} onSave={(name) => change({ name }, 'Renamed.')} /> : null}
        <Choices
          label="Lengths"
          choices={[
            { value: 'metric', label: 'Centimetres' },
            { value: 'inch', label: 'Inches' },
          ]}
          value={unit}
          onChange={(lengthUnit) => change({ lengthUnit }, 'Saved.')}
        />
        <Choices
          label="How is 3/4 read?"
          wrap
          choices={[
            { value: 'dmy', label: '3 April' },
            { value: 'mdy', label: 'March 4' },
            { value: 'ask', label: 'Always ask' },
          ]}
          value={home?.dateOrder ?? (home ? 'ask' : 'dmy')}
          onChange={(order) => change({ dateOrder: order === 'ask' ? null : order }, 'Saved.')}
        />
        <Choices
          label="Light or dark"
          choices={[
            { value: 'system', label: 'As the device' },
            { value: 'light', label: 'Light' },
            { value: 'dark', label: 'Dark' },
          ]}
          value={theme.choice}
          onChange={theme.choose}
        />
      </YStack>
      <Speech />
      <ListHeading title="People" remark={people.length === 0 ? 'nobody noted' : undefined} />
      {people.map((person) => (
        <ListRow key={person.id} title={person.name} detail={personWords(person, unit)} />
      ))}
      {me.isDemo ? (
        <Small padding={16}>
          The demo home is open to everybody here, so it invites nobody and joins no other home.
        </Small>
      ) : (
        <>
          <Invite />
          <Homes />
        </>
      )}
      <ListHeading title="Rules of the home" />
      <ListRow
        title="How long things keep"
        detail="once opened, cooked, frozen: as published, or as you say"
        onPress={() => router.push('/keeping')}
      />
      <ListRow
        title="Reserve in days"
        detail="water, food and other things for the people of the house"
        onPress={() => router.push('/reserve')}
      />
      <ListHeading title="History" />
      <ListRow title="Who did what, when" detail="and take it back" onPress={() => router.push('/history')} />
      <ListHeading title="Devices" />
      <ListRow
        title="Scanner, scale, thermometers, printer"
        detail="simulated, with knobs to try everything with"
        onPress={() => router.push('/devices' as never)}
      />
      <ListHeading title="Files" />
      <ListRow
        title="Out and in"
        detail="tables for spreadsheets, the whole home as an archive, and back"
        onPress={() => router.push('/data' as never)}
      />
      {me.isDemo ? null : (
        <>
          <ListHeading title="Devices signed in" />
          <Sessions />
        </>
      )}
      <YStack padding={16} gap={10}>
        <Small>
          Signed in as {me.name}, {me.email}
        </Small>
        {sure && waiting > 0 ? <Text color="$late">{unsentWords(waiting)}</Text> : null}
        <Button
          kind={sure ? 'danger' : 'plain'}
          label={sure ? 'Sign out and lose them' : 'Sign out'}
          onPress={() => {
            if (waiting > 0 && !sure) return setSure(true);
            store.close();
            void signOut().then(() => router.replace('/sign-in'));
          }}
        />
      </YStack>
    </Screen>
  );
}

/** Lines can be spoken where the browser listens; said beside it who turns speech into text. */
function Speech() {
  const [on, setOn] = useState(isSpeechOn);
  const able = recognitionOf() !== null;
  return (
    <YStack padding={16} paddingTop={0} gap={4}>
      <Choices
        label="Speak lines on this device"
        choices={[
          { value: 'off', label: 'Off' },
          { value: 'on', label: 'On' },
        ]}
        value={on ? 'on' : 'off'}
        onChange={(value) => {
          setSpeechOn(value === 'on');
          setOn(value === 'on');
        }}
      />
      <Small>
        {able
          ? 'The browser turns what is said into text; many browsers send it to a server of their maker for that. Nothing of it goes to this home’s server before the line is saved.'
          : 'This browser does not turn speech into text: lines are typed here.'}
      </Small>
    </YStack>
  );
}

function HomeName({ name, onSave }: { name: string; onSave: (name: string) => void }) {
  const [text, setText] = useState(name);
  const changed = text.trim() !== name && text.trim() !== '';
  return (
    <XStack gap={8} alignItems="flex-end">
      <YStack flex={1}>
        <Field label="Name of the home" value={text} onChangeText={setText} maxLength={120} />
      </YStack>
      {changed ? <Button label="Save" onPress={() => onSave(text.trim())} /> : null}
    </XStack>
  );
}

function Invite() {
  const { me } = useHouseholdContext();
  const invite = useMutation({ mutationFn: () => api('POST /invitations', { about: me }) });
  return (
    <YStack padding={16} gap={8}>
      {invite.data ? (
        <>
          <Text>
            Give this code to the other adult. It works once, until{' '}
            {dayWords(invite.data.expiresAt.slice(0, 10), today())}.
          </Text>
          <Mono fontSize={24} lineHeight={30} testID="invitation">
            {invite.data.code}
          </Mono>
        </>
      ) : (
        <Button label="Invite another adult" onPress={() => invite.mutate()} />
      )}
      {invite.isError ? <Text color="$late">The server cannot be reached; an invitation needs a signal.</Text> : null}
    </YStack>
  );
}

/** The homes of this account: another one is opened, or joined with a code. What waits for the one left is kept. */
function Homes() {
  const { me } = useHouseholdContext();
  const { signedIn } = useSession();
  const router = useRouter();
  const [code, setCode] = useState('');
  const { data } = useQuery({
    queryKey: ['homes'],
    queryFn: () => api('GET /homes', { about: me }),
    retry: 0,
  });
  const go = useMutation({
    mutationFn: (asking: () => Promise<Me>) => asking(),
    onSuccess: (me) => {
      signedIn(me);
      router.replace('/');
    },
  });
  const others = (data?.homes ?? []).filter(({ current }) => !current);
  return (
    <>
      {others.length > 0 ? <ListHeading title="Other homes of yours" /> : null}
      {others.map((home) => (
        <ListRow
          key={home.householdId}
          title={home.name}
          detail={home.role}
          right={
            <Button
              label="Open it"
              onPress={() =>
                go.mutate(() =>
                  api('POST /sessions/current/home', { body: { householdId: home.householdId }, about: me }),
                )
              }
            />
          }
        />
      ))}
      <YStack padding={16} gap={8}>
        <Field
          label="Code of another home to join"
          value={code}
          onChangeText={setCode}
          autoCapitalize="characters"
          hint="This home stays yours; you can go back to it here."
        />
        {code.trim() === '' ? null : (
          <Button
            label="Join that home"
            onPress={() => go.mutate(() => api('POST /memberships', { body: { invitation: code.trim() }, about: me }))}
          />
        )}
        {go.error ? (
          <Text role="alert" color="$late">
            {go.error instanceof ProblemAnswer
              ? `${go.error.problem.detail.replace(/\.$/, '')}.`
              : 'The server cannot be reached; another home needs a signal.'}
          </Text>
        ) : null}
      </YStack>
    </>
  );
}

function Sessions() {
  const { me } = useHouseholdContext();
  const queries = useQueryClient();
  const { data, isError } = useQuery({
    queryKey: ['sessions'],
    queryFn: () => api('GET /sessions', { about: me }),
    retry: 0,
  });
  const revoke = useMutation({
    mutationFn: (id: string) => api('DELETE /sessions/:id', { params: { id }, about: me }),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['sessions'] }),
  });
  if (isError) return <Small padding={16}>The list needs a signal.</Small>;
  return (
    <>
      {(data?.sessions ?? []).map((session) => (
        <ListRow
          key={session.id}
          title={session.current ? 'This device' : session.device}
          detail={sessionWords(session, today())}
          right={session.current ? null : <Button label="Sign it out" onPress={() => revoke.mutate(session.id)} />}
        />
      ))}
    </>
  );
}
