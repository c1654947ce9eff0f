import { WISH_KINDS, type WishRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { choicesOf } from '@/kit/form/choice';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useNextList } from '@/shared/useNextList';
import { useRunCommand } from '@/shared/useRunCommand';
import { WISH_WORDS } from './words';

/** What is wished for a place, kept with it until it is done. */
export function Wishes({ nookId }: { nookId: string }) {
  const runCommand = useRunCommand();
  const [adding, setAdding] = useState(false);
  const nextList = useNextList();
  const wishes = useHousehold(({ state }) =>
    state.all('wish').filter((wish) => wish.nookId === nookId && wish.doneOn === null),
  );
  const done = (wish: WishRow): void =>
    void runCommand(
      'wish_done',
      [{ op: 'change', entity: 'wish', id: wish.id, fields: { doneOn: today() } }],
      `Done: ${wish.words}.`,
    );
  return (
    <YStack testID="wishes">
      <XStack paddingHorizontal={16} paddingTop={8} gap={8} alignItems="center">
        <Strong flex={1} role="heading" aria-level={2}>
          {wishes.length === 0 ? 'No wishes for this place' : 'Wishes for this place'}
        </Strong>
        <Button kind="quiet" label="A wish …" onPress={() => setAdding(true)} />
      </XStack>
      {wishes.map((wish) => (
        <ListRow
          key={wish.id}
          title={wish.words}
          detail={WISH_WORDS[wish.kind]}
          right={
            <>
              {wish.kind !== 'buy' ? null : nextList.has(wish) ? (
                <Small>on the shopping list</Small>
              ) : (
                <Button kind="quiet" label="Put on the list" onPress={() => nextList.put(wish)} />
              )}
              <Button label="Done" onPress={() => done(wish)} />
            </>
          }
        />
      ))}
      {adding ? <WishDialog nookId={nookId} onClose={() => setAdding(false)} /> : null}
    </YStack>
  );
}

function WishDialog({ nookId, onClose }: { nookId: string; onClose: () => void }) {
  const runCommand = useRunCommand();
  const [kind, setKind] = useState<WishRow['kind']>('buy');
  const [words, setWords] = useState('');
  const save = (): void => {
    const said = words.trim();
    if (said === '') return;
    onClose();
    void runCommand(
      'wish_saved',
      [
        {
          op: 'create',
          entity: 'wish',
          id: opContext().newId(),
          fields: { nookId, kind, words: said, doneOn: null },
        },
      ],
      `Noted: ${said}.`,
    );
  };
  return (
    <Dialog title="A wish for this place" open onClose={onClose}>
      <Choices label="What kind" wrap choices={choicesOf(WISH_KINDS, WISH_WORDS)} value={kind} onChange={setKind} />
      <Field label="In your words" value={words} onChangeText={setWords} maxLength={200} onSubmitEditing={save} />
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" disabled={words.trim() === ''} onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
