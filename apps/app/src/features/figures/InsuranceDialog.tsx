import { insuranceList } from '@ours/core';
import { useMemo, useState } from 'react';
import { XStack } from 'tamagui';
import { costWords } from '@/features/restock/words';
import { Progress } from '@/kit/feedback/Progress';
import { useSaveFile } from '@/kit/feedback/useSaveFile';
import { Choices } from '@/kit/form/Choices';
import { Toggles } from '@/kit/form/Toggles';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Small, Text } from '@/kit/text/Text';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { usePhotos } from '@/shared/PhotosProvider';
import { useHome } from '@/shared/useHome';
import { insurancePdf } from './insurancePdf';

/** The list for the insurer as a PDF: which rooms, and whether also what has neither price nor picture. */
export function InsuranceDialog({ onClose }: { onClose: () => void }) {
  const { me, store } = useHouseholdContext();
  const { currency, unit } = useHome();
  const box = usePhotos();
  const [which, setWhich] = useState<'known' | 'every'>('known');
  const [without, setWithout] = useState<readonly string[]>([]);
  const [share, setShare] = useState<number | null>(null);
  const [said, setSaid] = useState('');
  const all = useMemo(() => insuranceList(store.state, which === 'every'), [store, which]);
  const rooms = [...new Set(all.map(({ roomName }) => roomName))];
  const lines = all.filter(({ roomName }) => !without.includes(roomName));
  const sum = lines.reduce((total, { worthMinor }) => total + (worthMinor ?? 0), 0);
  const unpriced = lines.filter(({ worthMinor }) => worthMinor === null).length;
  const pictures = lines.filter(({ photoHash }) => photoHash !== null).length;
  const saveFile = useSaveFile();
  const save = async (): Promise<void> => {
    setSaid('');
    setShare(0);
    try {
      const home = store.state.get('household', me.householdId)?.name ?? me.householdName;
      const { bytes, missing } = await insurancePdf(
        lines,
        { home, currency, today: today(), paper: unit === 'metric' ? 'A4' : 'Letter' },
        async (hash) => {
          const picture = await box?.get(hash, false);
          return picture ? new Uint8Array(await picture.arrayBuffer()) : null;
        },
        setShare,
      );
      saveFile(`insurance-${today()}.pdf`, 'application/pdf', bytes);
      const lost = counted(missing, { one: '# picture', other: '# pictures' });
      setSaid(
        `Saved: insurance-${today()}.pdf.${missing === 0 ? '' : ` ${lost} could not be had and ${missing === 1 ? 'is' : 'are'} not in it.`}`,
      );
    } catch {
      setSaid('The list could not be drawn. Try again with a signal.');
    }
    setShare(null);
  };
  return (
    <Dialog title="A list for the insurer" open onClose={onClose}>
      <Choices
        label="Which things"
        wrap
        choices={[
          { value: 'known', label: 'With a price or a picture' },
          { value: 'every', label: 'Everything' },
        ]}
        value={which}
        onChange={setWhich}
      />
      <Toggles
        label="Rooms"
        all={rooms.map((name) => ({ id: name, name: name || 'No room' }))}
        chosen={rooms.filter((name) => !without.includes(name))}
        onChange={(chosen) => setWithout(rooms.filter((name) => !chosen.includes(name)))}
      />
      <Text role="status">
        {`${counted(lines.length, { zero: 'No line', one: '# line', other: '# lines' })}, ${costWords(sum, currency)}, ${counted(pictures, { zero: 'no picture', one: '# picture', other: '# pictures' })}.`}
        {unpriced === 0 ? '' : ` ${counted(unpriced, { one: '# has', other: '# have' })} no price.`}
      </Text>
      <Small>
        Worth is what it costs to buy again at the prices noted, not what an insurer pays. Keep the list somewhere else
        than in this house.
      </Small>
      {share === null ? null : (
        <Progress label="Drawing the list" words={`${Math.round(share * 100)} %`} share={share} />
      )}
      {said === '' ? null : <Small role="status">{said}</Small>}
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label="Save as PDF"
          disabled={lines.length === 0 || share !== null}
          onPress={() => void save()}
        />
        <Button label="Done" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
