import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Small } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { LONGEST } from './cellEdits';
import { useCategories } from './useCategories';
import type { useBulk } from './useBulk';

/** The categories of the home: renamed for all their things, or made one with another by its name. */
export function CategoriesDialog({ bulk, onClose }: { bulk: ReturnType<typeof useBulk>; onClose: () => void }) {
  const { store } = useHouseholdContext();
  const categories = useCategories();
  const [open, setOpen] = useState<string | null>(null);
  const [name, setName] = useState('');
  const bare = useHousehold(({ state }) => state.all('item').filter(({ category }) => category === '').length);
  const typed = name.trim();
  const known = categories.find((one) => one.name === typed && typed !== open);
  const save = (): void => {
    if (open === null || typed === '') return;
    const of = store.state.all('item').filter(({ category }) => category === open);
    setOpen(null);
    bulk.recategorise(of, typed);
  };
  return (
    <Dialog title="Categories" open onClose={onClose}>
      {categories.length === 0 ? <Small>No thing has a category yet.</Small> : null}
      <YStack marginHorizontal={-16}>
        {categories.map((one) =>
          one.name === open ? (
            <XStack key={one.name} padding={16} gap={8} alignItems="flex-end" flexWrap="wrap">
              <YStack flexGrow={1} flexBasis={180}>
                <Field
                  label={`New name for ${one.name}`}
                  autoFocus
                  value={name}
                  maxLength={LONGEST.category}
                  onChangeText={setName}
                  onSubmitEditing={save}
                  hint={known ? `${known.name} is there already: both become one.` : undefined}
                />
              </YStack>
              <Button
                kind="primary"
                label={known ? 'Make them one' : 'Rename'}
                disabled={typed === '' || typed === open}
                onPress={save}
              />
              <Button label="Cancel" onPress={() => setOpen(null)} />
            </XStack>
          ) : (
            <ListRow
              key={one.name}
              title={one.name}
              detail={counted(one.things, { one: '# thing', other: '# things' })}
              right={
                <Button
                  label="Rename"
                  onPress={() => {
                    setOpen(one.name);
                    setName(one.name);
                  }}
                />
              }
            />
          ),
        )}
      </YStack>
      {bare > 0 ? <Small>{counted(bare, { one: '# thing has', other: '# things have' })} no category.</Small> : null}
      <Button kind="quiet" label="Done" onPress={onClose} />
    </Dialog>
  );
}
