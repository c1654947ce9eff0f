import { codeTail, newShelfCode, SHELF_KINDS, type ShelfKind, type ShelfRow } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { v7 as uuidv7 } from 'uuid';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { Card } from '@/kit/layout/Card';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Plus } from '@/kit/press/icons';
import { Plate } from '@/kit/text/Plate';
import { Small, Strong } from '@/kit/text/Text';
import { AddBins } from './AddBins';
import { PurposeDialog } from './PurposeDialog';
import { RemoveDialog } from './RemoveDialog';
import { ShelfDialog } from './ShelfDialog';
import { SpaceDialog } from './SpaceDialog';
import { purposeWords } from './words';
import { SHELF_KIND_WORDS } from '@/features/drawing/words';
import { shelfWords } from '@/shared/placeWords';

/** Shelves and bins of a space, to be added, changed and removed. */
export function SpaceEditor({ spaceId }: { spaceId: string }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const [kind, setKind] = useState<ShelfKind>('shelf');
  const [dialog, setDialog] = useState<
    | { kind: 'shelf'; shelf: ShelfRow }
    | { kind: 'purpose'; shelf: ShelfRow; name: string }
    | { kind: 'remove'; id: string; name: string }
    | { kind: 'space' }
    | null
  >(null);
  const { space, shelves, inUse } = useHousehold(({ state }) => ({
    space: state.get('space', spaceId),
    shelves: state
      .shelvesOf(spaceId)
      .map((shelf) => ({ shelf, name: shelfWords(state, shelf), bins: state.binsIn(shelf.id) })),
    inUse: state.codesInUse(),
  }));
  if (!space) return null;

  const addShelf = (): void => {
    const code = newShelfCode(space.code, inUse);
    const sort = (shelves.at(-1)?.shelf.sort ?? -1) + 1;
    const unmeasured = {
      leftTenthMm: null,
      bottomTenthMm: null,
      widthTenthMm: null,
      heightTenthMm: null,
      depthTenthMm: null,
    };
    void runCommand(
      'shelf_added',
      [{ op: 'create', entity: 'shelf', id: uuidv7(), fields: { spaceId, name: '', kind, code, sort, ...unmeasured } }],
      `Added: ${SHELF_KIND_WORDS[kind].toLowerCase()} ${codeTail(code)}.`,
    );
  };
  return (
    <YStack padding={16} gap={14}>
      {shelves.map(({ shelf, name, bins }) => (
        <Card key={shelf.id} gap={8} padding={12}>
          <Strong>
            {codeTail(shelf.code)} {name}
          </Strong>
          <XStack gap={4} flexWrap="wrap" marginHorizontal={-10}>
            <Button kind="quiet" label="What for …" onPress={() => setDialog({ kind: 'purpose', shelf, name })} />
            <Button kind="quiet" label="Change" onPress={() => setDialog({ kind: 'shelf', shelf })} />
            <Button kind="quiet" label="Remove" onPress={() => setDialog({ kind: 'remove', id: shelf.id, name })} />
          </XStack>
          {shelf.purpose ? <Small>{purposeWords(shelf.purpose)}</Small> : null}
          {bins.length > 0 ? <Small>{bins.map((bin) => `${codeTail(bin.code)} ${bin.name}`).join(', ')}</Small> : null}
          <AddBins parentId={shelf.id} />
        </Card>
      ))}
      <Choices
        label="Add at the bottom"
        choices={SHELF_KINDS.map((value) => ({ value, label: SHELF_KIND_WORDS[value] }))}
        value={kind}
        onChange={setKind}
      />
      <Button icon={Plus} label={`Add a ${SHELF_KIND_WORDS[kind].toLowerCase()}`} onPress={addShelf} />
      <XStack gap={8} alignItems="center">
        <Plate code={space.code} />
        <Button label="Name and measures" onPress={() => setDialog({ kind: 'space' })} />
        <Button label="Remove" onPress={() => setDialog({ kind: 'remove', id: spaceId, name: space.name })} />
      </XStack>
      {dialog?.kind === 'shelf' ? <ShelfDialog shelf={dialog.shelf} onClose={() => setDialog(null)} /> : null}
      {dialog?.kind === 'purpose' ? (
        <PurposeDialog shelf={dialog.shelf} name={dialog.name} onClose={() => setDialog(null)} />
      ) : null}
      {dialog?.kind === 'space' ? <SpaceDialog space={space} onClose={() => setDialog(null)} /> : null}
      {dialog?.kind === 'remove' ? (
        <RemoveDialog
          nookId={dialog.id}
          name={dialog.name}
          onClose={() => setDialog(null)}
          onGone={() => (dialog.id === spaceId ? router.replace('/nooks') : undefined)}
        />
      ) : null}
    </YStack>
  );
}
