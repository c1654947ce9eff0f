import { WAITS, type WaitingPlaceRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { choicesOf } from '@/kit/form/choice';
import { Stepper } from '@/kit/form/Stepper';
import { Dialog } from '@/kit/layout/Dialog';
import { LabelledLine } from '@/kit/layout/LabelledLine';
import { Button } from '@/kit/press/Button';
import { Text } from '@/kit/text/Text';
import { NookPicker } from '@/shared/NookPicker';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { WAIT_WORDS } from './words';

const USUAL_DAYS = 7;

/** A place in which things wait: for what, and how long is usual. */
export function WaitingDialog({ place, onClose }: { place: WaitingPlaceRow | null; onClose: () => void }) {
  const runCommand = useRunCommand();
  const [nook, setNook] = useState<{ id: string; name: string } | null>(place ? { id: place.nookId, name: '' } : null);
  const [waitsFor, setWaitsFor] = useState<WaitingPlaceRow['waitsFor']>(place?.waitsFor ?? 'hand_wash');
  const [usualDays, setUsualDays] = useState(place?.usualDays ?? USUAL_DAYS);
  const save = (): void => {
    if (!nook) return;
    const fields = { nookId: nook.id, waitsFor, usualDays };
    onClose();
    void runCommand(
      'waiting_place_saved',
      place
        ? [{ op: 'change', entity: 'waiting_place', id: place.id, fields }]
        : [{ op: 'create', entity: 'waiting_place', id: opContext().newId(), fields }],
      `Things wait there: ${WAIT_WORDS[waitsFor]}.`,
    );
  };
  return (
    <Dialog title="Where things wait" open onClose={onClose}>
      {nook === null ? (
        <NookPicker label="Which place?" onPick={(id, name) => setNook({ id, name })} />
      ) : nook.name === '' ? null : (
        <Text>{nook.name}</Text>
      )}
      <Choices label="For what" wrap choices={choicesOf(WAITS, WAIT_WORDS)} value={waitsFor} onChange={setWaitsFor} />
      <LabelledLine label="Usual days">
        <Stepper
          label="Usual days"
          value={usualDays}
          less="A day less"
          more="A day more"
          canLess={usualDays > 1}
          onLess={() => setUsualDays(usualDays - 1)}
          onMore={() => setUsualDays(usualDays + 1)}
        />
      </LabelledLine>
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" disabled={nook === null} onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
      {place ? (
        <Button
          kind="quiet"
          label="Nothing waits there any more"
          onPress={() => {
            onClose();
            void runCommand(
              'waiting_place_removed',
              [{ op: 'retire', entity: 'waiting_place', id: place.id }],
              'It is a place like others again.',
            );
          }}
        />
      ) : null}
    </Dialog>
  );
}
