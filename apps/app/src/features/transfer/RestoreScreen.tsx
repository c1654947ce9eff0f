import { useRef, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { sendHome } from '@/data/api/homeFile';
import { onceJob } from '@/jobs/onceJob';
import type { OpenedHome } from '@/jobs/zipJobs';
import { Problem } from '@/kit/feedback/Problem';
import { Progress } from '@/kit/feedback/Progress';
import { pickFile } from '@/kit/files';
import { Choices } from '@/kit/form/Choices';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { dayWords } from '@/kit/text/dayWords';
import { Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { usePhotos } from '@/shared/PhotosProvider';
import { kindsWords } from './words';

const WRONG = {
  no_home: 'This is no home; an archive or JSON as saved under “Out” is taken.',
  no_home_inside: 'There is no “home.json” in this archive; one as saved under “Out” is taken.',
  too_large: 'Unpacked, this archive is larger than 512 MB; that is not read.',
} as const;
const KINDS = ['room', 'space', 'bin', 'item', 'lot', 'round', 'photo'] as const;
const MOST_FILE_BYTES = 300 * 1024 * 1024;

/** The home becomes what a file says: what that is and what is lost is said first. */
export function RestoreScreen() {
  const { me } = useHouseholdContext();
  const box = usePhotos();
  const day = today();
  const [home, setHome] = useState<OpenedHome | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [ids, setIds] = useState<'same' | 'new'>('same');
  const [progress, setProgress] = useState<{ words: string; share: number } | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const busy = useRef(false);
  const now = useHousehold(({ state }) => Object.fromEntries(KINDS.map((kind) => [kind, state.all(kind).length])));
  const waiting = useHousehold(({ store: own }) => own.waiting.length);
  const empty = Object.values(now).every((count) => count === 0);
  const choose = async (): Promise<void> => {
    const file = await pickFile('.zip,.json,application/zip,application/json', MOST_FILE_BYTES);
    if (!file) return;
    setProblem(null);
    setDone(null);
    setHome(null);
    if (file.bytes === null) return setProblem(WRONG.too_large);
    setProgress({ words: 'Opening the file …', share: 0 });
    try {
      const opened = await onceJob('openHome', file.bytes);
      if (opened.ok) setHome(opened.home);
      else setProblem(WRONG[opened.problem]);
    } catch (error) {
      setProblem((error as Error).message);
    }
    setProgress(null);
  };
  const restore = async (): Promise<void> => {
    if (!home || busy.current) return;
    busy.current = true;
    setProblem(null);
    setProgress({ words: 'Sending it …', share: 0 });
    try {
      const last = await sendHome(me, home.json, { over: !empty, newIds: ids === 'new' }, (news) => {
        if ('step' in news)
          setProgress({
            words: news.step === 'checking' ? 'Checking every row …' : 'Writing …',
            share: news.done / Math.max(1, news.of),
          });
      });
      if ('problem' in last) setProblem(last.problem);
      else if ('result' in last) {
        for (const { bytes } of home.pictures) await box?.keep(new Blob([bytes as BlobPart]));
        setDone(`This home is now as it was on ${dayWords(home.madeAt.slice(0, 10), day)}. This device reads it now.`);
        setHome(null);
      }
    } catch (error) {
      setProblem((error as Error).message);
    }
    setProgress(null);
    busy.current = false;
  };
  return (
    <Screen title="A whole home" back="/data">
      <YStack padding={16} gap={14}>
        {home === null && done === null ? (
          <Text>
            An archive or JSON as saved under “Out”. What it holds, and what of this home would be gone, is said before
            anything is changed.
          </Text>
        ) : null}
        {problem ? <Problem text={problem} /> : null}
        {done ? <Strong role="status">{done}</Strong> : null}
        {progress ? <Progress label="Restoring" words={progress.words} share={progress.share} /> : null}
        {home && progress === null ? (
          <YStack gap={14}>
            <YStack gap={2} testID="in-the-file">
              <Small>{`In the file, written on ${dayWords(home.madeAt.slice(0, 10), day)}`}</Small>
              <Strong>{kindsWords(home.kinds)}</Strong>
              <Small>
                {`${home.events.toLocaleString('en')} events of its history, ${home.pictures.length} ${home.pictures.length === 1 ? 'picture file' : 'picture files'}`}
              </Small>
              {home.householdId === me.householdId ? null : <Small>It comes from another home.</Small>}
            </YStack>
            <YStack gap={2} testID="what-is-lost">
              <Small>
                {empty
                  ? 'This home is empty: nothing is lost.'
                  : 'In this home now; it is replaced, and cannot be undone'}
              </Small>
              {empty ? null : <Strong color="$late">{kindsWords(now)}</Strong>}
              {waiting > 0 ? (
                <Small color="$late">{`${waiting} changes of this device are not sent yet: let them be sent first.`}</Small>
              ) : null}
            </YStack>
            <Choices
              label="Ids"
              wrap
              choices={[
                { value: 'same', label: 'as they are: the same home' },
                { value: 'new', label: 'new ones: a copy' },
              ]}
              value={ids}
              onChange={setIds}
            />
            {me.role === 'owner' ? (
              <Button
                kind={empty ? 'primary' : 'danger'}
                label={empty ? 'Make this home so' : 'Replace this home'}
                disabled={waiting > 0}
                onPress={() => void restore()}
              />
            ) : (
              <Text>Only the owner of this home can do this.</Text>
            )}
          </YStack>
        ) : null}
        {progress === null ? (
          <XStack>
            <Button
              kind={home === null && done === null ? 'primary' : 'plain'}
              label={home === null ? 'Choose a file …' : 'Another file …'}
              onPress={() => void choose()}
            />
          </XStack>
        ) : null}
      </YStack>
    </Screen>
  );
}
