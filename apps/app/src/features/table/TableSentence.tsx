import type { CivilDate } from '@ours/core';
import { XStack } from 'tamagui';
import { SentenceWord, type WordChoice } from '@/kit/form/SentenceWord';
import { Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import type { TableView } from './tableView';
import { COUNTED_CHOICES, GROUP_CHOICES, ROWS_CHOICES, shownChoices } from './words';

/** What the table shows, as a sentence whose words can be changed. */
export function TableSentence({
  view,
  onChange,
  nextTrip,
  today,
}: {
  view: TableView;
  onChange: (fields: Partial<TableView>) => void;
  nextTrip: CivilDate | null;
  today: CivilDate;
}) {
  const { places, categories } = useHousehold(({ state, version }) => ({
    places: state
      .all('room')
      .filter(({ retired }) => !retired)
      .sort((a, b) => a.sort - b.sort)
      .flatMap((room): WordChoice<string | null>[] => [
        { value: room.id, label: room.name, detail: 'the whole room' },
        ...state.spacesIn(room.id).map(({ id, name }) => ({ value: id, label: name, detail: room.name })),
      ]),
    categories: [...new Set(state.all('item').map(({ category }) => category))].sort((a, b) => a.localeCompare(b)),
    version,
  }));
  return (
    <XStack
      paddingHorizontal={16}
      paddingBottom={10}
      gap={6}
      flexWrap="wrap"
      alignItems="center"
      role="group"
      aria-label="What is shown"
    >
      <Text>Show</Text>
      <SentenceWord
        label="Which"
        choices={shownChoices(nextTrip, today)}
        value={view.shown}
        onChange={(shown) => onChange({ shown })}
      />
      <Text>of</Text>
      <SentenceWord<string | null>
        label="Category"
        choices={[
          { value: null, label: 'any category' },
          ...categories.map((category) => ({ value: category, label: category || 'no category' })),
        ]}
        value={view.category}
        onChange={(category) => onChange({ category })}
      />
      <Text>in</Text>
      <SentenceWord<string | null>
        label="Place"
        choices={[{ value: null, label: 'all places' }, ...places]}
        value={view.placeId}
        after=","
        onChange={(placeId) => onChange({ placeId })}
      />
      <SentenceWord
        label="Last counted or put in"
        choices={COUNTED_CHOICES}
        value={view.counted}
        after=","
        onChange={(counted) => onChange({ counted })}
      />
      <Text>a row for each</Text>
      <SentenceWord
        label="A row for each"
        choices={ROWS_CHOICES}
        value={view.rows}
        after=","
        onChange={(rows) => onChange({ rows })}
      />
      <SentenceWord
        label="Groups"
        choices={GROUP_CHOICES}
        value={view.groupBy}
        onChange={(groupBy) => onChange({ groupBy })}
      />
    </XStack>
  );
}
