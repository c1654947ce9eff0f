import { opsForListing, tripsAhead, WISH_KINDS, type WishRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices, choicesOf } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { WISH_WORDS } from './words';

/** What is wished for a place, kept with it until it is done. */
export function Wishes({ nookId }: { nookId: string }) {
  const runCommand = useRunCommand();
  const [adding, setAdding] = useState(false);
  const { wishes, shops } = useHousehold(({ state, version }) => ({
    version,
    wishes: state.all('wish').filter((wish) => wish.nookId === nookId && wish.doneOn === null),
    shops: state.all('shop'),
  }));
  const done = (wish: WishRow): void =>
    void runCommand(
      'wish_done',
      [{ op: 'change', entity: 'wish', id: wish.id, fields: { doneOn: today() } }],
      `Done: ${wish.words}.`,
    );
  const list = (wish: WishRow): void => {
    const [trip] = tripsAhead(shops, today());
    if (!trip) return;
    void runCommand(
      'wish_listed',
      opsForListing(trip, { name: wish.words.slice(0, 120) }, opContext()),
      `On the shopping list: ${wish.words}.`,
    );
  };
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
              {wish.kind === 'buy' ? <Button kind="quiet" label="On the list" onPress={() => list(wish)} /> : null}
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
