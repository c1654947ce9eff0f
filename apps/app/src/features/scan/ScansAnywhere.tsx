import { gtinAsPrinted, itemsOfCode, withCode, type ItemFields, type ItemRow, type Op } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useToast } from '@/kit/feedback/Toasts';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { codeProblemWords } from '@/kit/text/codeWords';
import { Small } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { ItemPicker } from '@/shared/ItemPicker';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { useScanned } from '@/shared/ScanProvider';
import { catalogue } from '@/simulated/goods';

/** What a scan means where no page takes it: a place opens, a thing opens, a code that nobody knows is learned. */
export function ScansAnywhere() {
  const router = useRouter();
  const toast = useToast();
  const { store } = useHouseholdContext();
  const [unknown, setUnknown] = useState<{ gtin: string; isbn: string | null } | null>(null);
  const [several, setSeveral] = useState<ItemRow[]>([]);
  const open = (item: ItemRow): void => router.push(`/item/${item.id}`);
  useScanned(({ reading, text }) => {
    if (reading.kind === 'unreadable') {
      toast({ text: codeProblemWords(reading.problem), problem: true });
      return true;
    }
    if (reading.kind === 'place') {
      const id = store.state.nookIdByCodeKey(reading.key);
      const nook = id === undefined ? undefined : store.state.nook(id);
      if (!nook || nook.row.retired)
        toast({ text: `No place of this home has the code of “${text.slice(0, 40)}”.`, problem: true });
      else router.push((nook.kind === 'space' ? `/space/${nook.row.id}` : `/nook/${nook.row.id}`) as never);
      return true;
    }
    const { gtin } = reading.goods;
    if (gtin === null) {
      toast({ text: 'This code has no trade number in it; in Record its date and batch can be used.', problem: true });
      return true;
    }
    const items = itemsOfCode(store.state, gtin);
    if (items.length === 1) open(items[0]!);
    else if (items.length > 1) setSeveral(items);
    else setUnknown({ gtin, isbn: reading.isbn });
    return true;
  });
  return (
    <>
      {unknown ? <LearnDialog key={unknown.gtin} {...unknown} onClose={() => setUnknown(null)} /> : null}
      {several.length > 0 ? (
        <Dialog title="This code was noted for several things" open onClose={() => setSeveral([])}>
          <YStack marginHorizontal={-16}>
            {several.map((item) => (
              <ListRow
                key={item.id}
                title={item.name}
                onPress={() => {
                  setSeveral([]);
                  open(item);
                }}
              />
            ))}
          </YStack>
        </Dialog>
      ) : null}
    </>
  );
}

/** A code that the home does not know: which thing it is, in one line. */
function LearnDialog({ gtin, isbn, onClose }: { gtin: string; isbn: string | null; onClose: () => void }) {
  const runCommand = useRunCommand();
  const goods = catalogue.look(gtin);
  const [name, setName] = useState(goods?.name ?? '');
  const printed = gtinAsPrinted(gtin);
  const known = useHousehold(({ state }) => {
    const wanted = name.trim().toLowerCase();
    return wanted === '' ? null : (state.all('item').find((item) => item.name.toLowerCase() === wanted) ?? null);
  });
  const learn = (item: ItemRow): void => {
    onClose();
    void runCommand(
      'code_learned',
      [{ op: 'change', entity: 'item', id: item.id, fields: { codes: withCode(item.codes, gtin) } }],
      `${item.name} is known by ${printed} from now on.`,
    );
  };
  const make = (): void => {
    if (known) return learn(known);
    onClose();
    const fields: ItemFields = {
      name: name.trim().slice(0, 120),
      category: goods?.category ?? '',
      unit: goods?.unit ?? 'piece',
      synonyms: [],
      tags: [],
      lowAtThousandths: null,
      openedDays: null,
      freezerMonths: null,
      codes: [gtin],
    };
    const op: Op = { op: 'create', entity: 'item', id: opContext().newId(), fields };
    void runCommand('code_learned', [op], `New: ${fields.name}, known by ${printed}.`);
  };
  return (
    <Dialog
      title={isbn === null ? `${printed} is not known yet` : `Book ${isbn} is not known yet`}
      open
      onClose={onClose}
    >
      {goods ? <Small>{`The catalogue (simulated) calls it “${goods.name}”.`}</Small> : null}
      <Field
        label="What is it?"
        value={name}
        onChangeText={setName}
        onSubmitEditing={() => name.trim() !== '' && make()}
        maxLength={120}
        autoFocus
      />
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label={known ? `It is ${known.name}` : 'A new thing'}
          disabled={name.trim() === ''}
          onPress={make}
        />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
      <ItemPicker label="Or one that the home knows" onPick={learn} />
    </Dialog>
  );
}
