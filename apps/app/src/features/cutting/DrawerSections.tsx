import {
  cutBars,
  divideDrawer,
  formatLength,
  lengthField,
  lotsWithin,
  modelSpace,
  plainRoom,
  shapeOf,
  sidesOf,
  type ItemRow,
  type LengthUnit,
  type SectionThing,
  type ShelfRow,
  type SpaceRow,
} from '@ours/core';
import { useMemo, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { FloorView } from '@/features/fit';
import { Problem } from '@/kit/feedback/Problem';
import { Choices } from '@/kit/form/Choices';
import { useFigures } from '@/kit/form/useFigures';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { shelfWords } from '@/shared/placeWords';
import { Bars } from './Bars';
import { dividedWords, sectionsWords, unmeasuredWords } from './words';

const lengthOf = (label: string, least = 1) => ({ label, field: lengthField(least) });
const FIGURES = {
  width: lengthOf('Inside, wide'),
  depth: lengthOf('Inside, deep'),
  height: lengthOf('Inside, high'),
  thickness: lengthOf('Strip, thick', 0),
  stock: lengthOf('Strip, long'),
  kerf: lengthOf('Saw cut', 0),
};
/** More sections than a drawer is divided into. */
const MOST_THINGS = 16;
const DRAWING_WIDTH = 420;

/** A drawer divided for the things that lie in it. */
export function DrawerSections({ space, unit }: { space: SpaceRow; unit: LengthUnit }) {
  const shelves = useHousehold(({ state, version }) => ({
    version,
    of: modelSpace(space, state.shelvesOf(space.id)).shelves.map(({ shelf, room, bayTenthMm }) => ({
      shelf,
      name: shelfWords(state, shelf),
      inside: [room.width - 2 * bayTenthMm, room.depth, room.height] as const,
    })),
  })).of;
  const first = shelves.find(({ shelf }) => shelf.kind === 'drawer') ?? shelves[0];
  const [shelfId, setShelfId] = useState(first?.shelf.id ?? null);
  const at = shelves.find(({ shelf }) => shelf.id === shelfId) ?? first;
  if (!at) return <Text>No drawer or shelf here is measured yet.</Text>;
  return (
    <YStack gap={10}>
      <Choices
        label="Which drawer"
        choices={shelves.map(({ shelf, name }) => ({ value: shelf.id, label: name }))}
        value={at.shelf.id}
        onChange={setShelfId}
      />
      <Sections key={at.shelf.id} shelf={at.shelf} inside={at.inside} unit={unit} />
    </YStack>
  );
}

interface Known extends SectionThing {
  id: string;
  guessed: boolean;
}

function Sections({
  shelf,
  inside,
  unit,
}: {
  shelf: ShelfRow;
  inside: readonly [number, number, number];
  unit: LengthUnit;
}) {
  const content = useContentWidth();
  const [width, depth, height] = inside.map((one) => formatLength(one, unit)) as [string, string, string];
  const start =
    unit === 'metric'
      ? { thickness: '5 mm', stock: '1 m', kerf: '2 mm' }
      : { thickness: '1/4"', stock: '36', kerf: '1/8"' };
  const { inputs, values, problem } = useFigures(FIGURES, unit, { ...start, width, depth, height });
  const { known, unknown } = useHousehold(({ state, version }) => {
    const counts = new Map<string, { item: ItemRow; count: number }>();
    for (const lot of lotsWithin(state, shelf.id)) {
      const item = state.get('item', lot.itemId);
      if (!item || lot.quantityThousandths < 1000) continue;
      const before = counts.get(item.id)?.count ?? 0;
      counts.set(item.id, { item, count: before + Math.ceil(lot.quantityThousandths / 1000) });
    }
    const all = [...counts.values()].map(({ item, count }) => ({ item, count, shape: shapeOf(item) }));
    return {
      version,
      known: all.flatMap(({ item, count, shape }): Known[] =>
        shape
          ? [
              {
                id: item.id,
                name: item.name,
                count,
                sides: sidesOf(shape.shape),
                upright: shape.shape.kept.includes('upright'),
                guessed: shape.guessed,
              },
            ]
          : [],
      ),
      unknown: all.flatMap(({ item, shape }) => (shape ? [] : [item.name])),
    };
  });
  const [off, setOff] = useState<readonly string[]>([]);
  const things = known.filter(({ id }) => !off.includes(id)).slice(0, MOST_THINGS);
  const asked = values === null ? '' : JSON.stringify([values, things]);
  const divided = useMemo(
    () =>
      values === null || things.length === 0
        ? null
        : divideDrawer(things, [values.width, values.depth, values.height], values.thickness),
    // The text says all that it depends on.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [asked],
  );
  return (
    <YStack gap={10}>
      <XStack gap={8} flexWrap="wrap">
        {inputs}
      </XStack>
      <Problem text={problem} />
      {known.length > 0 ? (
        <XStack gap={8} flexWrap="wrap" role="group" aria-label="Things to divide it for">
          {known.map(({ id, name, count }) => (
            <Button
              key={id}
              label={count > 1 ? `${count} × ${name}` : name}
              selected={!off.includes(id)}
              onPress={() => setOff((now) => (now.includes(id) ? now.filter((one) => one !== id) : [...now, id]))}
            />
          ))}
        </XStack>
      ) : null}
      {unknown.length > 0 ? <Small>{unmeasuredWords(unknown)}</Small> : null}
      {values && divided ? (
        <YStack gap={6} testID="sections">
          <Strong>{dividedWords(divided, things.length, unit)}</Strong>
          <FloorView
            room={plainRoom(values.width, values.depth, values.height, 'top')}
            bins={divided.sections.map(({ thing, x, y, width: wide, depth: deep }, nth) => ({
              key: String(thing),
              tag: String(nth + 1),
              name: things[thing]!.name,
              body: {
                cx: x + wide / 2,
                cy: y + deep / 2,
                z: 0,
                degrees: 0,
                width: wide,
                depth: deep,
                height: values.height,
              },
            }))}
            width={Math.min(DRAWING_WIDTH, content - 32)}
            maxHeight={260}
            unit={unit}
            measured={false}
          />
          {divided.sections.map((section, nth) => (
            <Small key={section.thing}>{sectionsWords(section, nth + 1, things[section.thing]!, unit)}</Small>
          ))}
          {divided.left.length > 0 ? (
            <Text>{`No room found for: ${divided.left.map((at) => things[at]!.name).join(', ')}.`}</Text>
          ) : null}
          <Bars plan={cutBars(divided.strips, values.stock, values.kerf)} unit={unit} stock={values.stock} />
        </YStack>
      ) : null}
    </YStack>
  );
}
