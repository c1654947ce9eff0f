import type { ShelfPurpose, ShelfRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useRunCommand } from '@/shared/useRunCommand';

const LONGEST = 60;
const MOST_TAKEN = 20;

/** What a shelf is for, in one's own words, and what belongs there. */
export function PurposeDialog({ shelf, name, onClose }: { shelf: ShelfRow; name: string; onClose: () => void }) {
  const runCommand = useRunCommand();
  const [words, setWords] = useState(shelf.purpose?.words ?? '');
  const [takes, setTakes] = useState((shelf.purpose?.takes ?? []).join(', '));
  const save = (purpose: ShelfPurpose | null): void => {
    onClose();
    void runCommand(
      'shelf_purpose',
      [{ op: 'change', entity: 'shelf', id: shelf.id, fields: { purpose } }],
      purpose ? `For ${purpose.words}: ${name}.` : `For anything: ${name}.`,
    );
  };
  return (
    <Dialog title={`What is it for? ${name}`} open onClose={onClose}>
      <Field
        label="For"
        value={words}
        onChangeText={setWords}
        maxLength={LONGEST}
        placeholder="snacks the children reach"
        autoFocus
      />
      <Field label="What belongs there" value={takes} onChangeText={setTakes} placeholder="snack, biscuits, fruit" />
      <Small>
        Tags, kinds or words of a name, with commas between. What has none of them is pointed out, and nothing like it
        is proposed to go there. Left empty, anything may.
      </Small>
      {shelf.purpose ? <Button kind="quiet" label="It is for anything" onPress={() => save(null)} /> : null}
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label="Save"
          disabled={words.trim() === ''}
          onPress={() => save({ words: words.trim(), takes: takenFrom(takes) })}
        />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

const takenFrom = (text: string): string[] =>
  [
    ...new Set(
      text
        .split(/[,;\n]/)
        .map((one) => one.trim().replace(/^#/, '').slice(0, LONGEST).trim())
        .filter((one) => one !== ''),
    ),
  ].slice(0, MOST_TAKEN);
