import {
  definitionOf,
  OFFERED_RATIONS,
  peopleOf,
  reserveDays,
  type RationFields,
  type RationRow,
  type ReserveDays,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { FormDialog } from '@/kit/form/FormDialog';
import { Card } from '@/kit/layout/Card';
import { Dialog } from '@/kit/layout/Dialog';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Heading, Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPicker } from '@/shared/NookPicker';
import { opContext, today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { amountWords } from '@/features/stock/words';
import { daysWords, leftOutWords, reserveWords } from './words';

const INPUTS = {
  name: { label: 'What', needed: 'It needs a name.' },
  words: {
    label: 'Words in the things’ names or tags (comma between)',
    hint: 'Everything with one of them counts.',
    needed: 'At least one word is needed, or nothing counts.',
  },
  unit: { label: 'Counted in', hint: 'l, kg, meal, tablet …', needed: 'It is counted in something.', narrow: true },
  perPersonDayThousandths: {
    label: 'A person needs in a day',
    needed: 'How much does a person need in a day?',
    narrow: true,
  },
  source: { label: 'Where this figure is from' },
};
type Asked = Pick<RationRow, keyof typeof INPUTS>;

/** For how many days the reserve lasts for the people of the house. */
export function ReserveScreen() {
  const day = today();
  const { rows, people } = useHousehold(({ state, version }) => ({
    rows: state.all('ration').map((ration) => reserveDays(state, ration, day)),
    people: peopleOf(state),
    version,
  }));
  const [editing, setEditing] = useState<{ ration: RationRow | null; start: Partial<Asked> } | null>(null);
  const [placing, setPlacing] = useState<RationRow | null>(null);
  const runCommand = useRunCommand();
  const known = new Set(rows.map(({ ration }) => ration.name));
  const offered = OFFERED_RATIONS.filter(({ name }) => !known.has(name));
  const setPlace = (ration: RationRow, nookId: string | null, done: string): void => {
    setPlacing(null);
    void runCommand('ration_changed', [{ op: 'change', entity: 'ration', id: ration.id, fields: { nookId } }], done);
  };
  return (
    <Screen title="Reserve in days" sub={counted(people, { one: '# person', other: '# people' })} back="/household">
      <YStack padding={16} gap={12} maxWidth={720}>
        <Small>
          How long what is there lasts for everybody who lives here; helpers are not counted. Your authority’s advice
          for emergencies comes first.
        </Small>
        {people === 0 ? <Text role="alert">Nobody is noted in this home, so no days can be told.</Text> : null}
        {rows.map((row) => (
          <Reserve
            key={row.ration.id}
            row={row}
            day={day}
            onEdit={() => setEditing({ ration: row.ration, start: row.ration })}
            onPlace={() => setPlacing(row.ration)}
          />
        ))}
        {offered.map((fields) => (
          <Card key={fields.name} padding={14} gap={8}>
            <Strong>{`${fields.name}: ${amountWords(fields.perPersonDayThousandths, fields.unit)} a person and day`}</Strong>
            <Small>{fields.source}</Small>
            <Button
              label="Count it"
              onPress={() => setEditing({ ration: null, start: { ...fields, words: [...fields.words] } })}
            />
          </Card>
        ))}
        <Button
          label="Count something else …"
          onPress={() =>
            setEditing({
              ration: null,
              start: { name: '', words: [], unit: '', source: '' },
            })
          }
        />
      </YStack>
      {editing ? <RationDialog {...editing} onClose={() => setEditing(null)} /> : null}
      {placing ? (
        <Dialog title={`Where does ${placing.name} count?`} open onClose={() => setPlacing(null)}>
          <Button
            label="In the whole home"
            onPress={() => setPlace(placing, null, `${placing.name}: the whole home counts.`)}
          />
          <NookPicker
            label="Only in this place"
            onPick={(nookId, name) => setPlace(placing, nookId, `${placing.name}: what is in ${name} counts.`)}
          />
        </Dialog>
      ) : null}
    </Screen>
  );
}

function Reserve({
  row,
  day,
  onEdit,
  onPlace,
}: {
  row: ReserveDays;
  day: string;
  onEdit: () => void;
  onPlace: () => void;
}) {
  const { ration, days, counted: items } = row;
  const place = useHousehold(({ state }) =>
    ration.nookId === null
      ? 'the whole home'
      : (wayTo(state, ration.nookId)?.steps.slice(1).join(' › ') ?? 'a place that is gone'),
  );
  const rest = leftOutWords(row, day);
  return (
    <Card padding={14} gap={6}>
      <XStack gap={10} alignItems="baseline" flexWrap="wrap">
        <Strong flex={1}>{ration.name}</Strong>
        <Heading fontSize={20} lineHeight={26}>
          {days === null ? 'not known' : daysWords(days)}
        </Heading>
      </XStack>
      <Small>{reserveWords(row)}</Small>
      <Small>
        {items.length === 0
          ? `Nothing of it is in ${place}.`
          : `${items
              .slice(0, 5)
              .map(({ item, thousandths }) => `${item.name} ${amountWords(thousandths, ration.unit)}`)
              .join(', ')}${items.length > 5 ? ' and others' : ''}; in ${place}.`}
      </Small>
      {rest === '' ? null : <Small>{rest}</Small>}
      <Small>{ration.source === '' ? 'Your own figure.' : ration.source}</Small>
      <XStack gap={8} flexWrap="wrap">
        <Button label="Change" onPress={onEdit} />
        <Button label="Where it counts …" onPress={onPlace} />
      </XStack>
    </Card>
  );
}

function RationDialog({
  ration,
  start,
  onClose,
}: {
  ration: RationRow | null;
  start: Partial<Asked>;
  onClose: () => void;
}) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const save = (asked: Asked): void => {
    const fields: RationFields = { ...asked, nookId: ration?.nookId ?? null };
    void runCommand(
      'ration_changed',
      ration
        ? [{ op: 'change', entity: 'ration', id: ration.id, fields: asked }]
        : [{ op: 'create', entity: 'ration', id: opContext().newId(), fields }],
      `Saved: ${asked.name}.`,
    );
  };
  return (
    <FormDialog<keyof Asked, Asked>
      title={ration?.name ?? 'A reserve to count'}
      fields={definitionOf('ration').fields}
      inputs={INPUTS}
      start={start}
      unit={unit}
      check={({ words }) => (words.length === 0 ? { words: INPUTS.words.needed } : {})}
      onSave={save}
      onClose={onClose}
    >
      {ration ? (
        <Button
          kind="quiet"
          label="Count it no more"
          onPress={() => {
            onClose();
            void runCommand(
              'ration_retired',
              [{ op: 'retire', entity: 'ration', id: ration.id }],
              `${ration.name} is no longer counted.`,
            );
          }}
        />
      ) : null}
    </FormDialog>
  );
}
