import {
  binNamesIn,
  definitionOf,
  MOST_SHELVES,
  opsForNewSpace,
  opsFromPattern,
  readFieldText,
  shelfKindsOf,
  SPACE_KINDS,
  SPACE_PATTERNS,
  USUAL_SHELVES,
  type AnyField,
  type NewSpace,
  type Op,
  type SpaceKind,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { memo, useMemo, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { v7 as uuidv7 } from 'uuid';
import { emptySummary, OpenDoorView, previewOf } from '@/features/drawing';
import { PATTERN_WORDS } from '@/features/measure/words';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Form, type FormView } from '@/kit/form/Form';
import { inputOf, mapped, type Input } from '@/kit/form/inputs';
import { Stepper } from '@/kit/form/Stepper';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { problemWords } from '@/kit/text/problemWords';
import { Small, Strong } from '@/kit/text/Text';
import { addedSpaceWords, shelfFieldWords, shelvesWord, SPACE_KIND_WORDS } from './words';

const MEASURES = ['widthTenthMm', 'heightTenthMm', 'depthTenthMm'] as const;
type WrittenKey = 'name' | 'room' | (typeof MEASURES)[number];
type Written = Record<WrittenKey, string>;
/** The room is asked for by its name. */
const fieldOf = (key: WrittenKey): AnyField =>
  key === 'room' ? definitionOf('room').fields.name! : definitionOf('space').fields[key]!;
const INPUTS: Record<WrittenKey, Input> = {
  name: { label: 'What is it called?', placeholder: 'Linen closet' },
  room: { label: 'In which room?', placeholder: 'Stairs' },
  widthTenthMm: { label: 'Wide', narrow: true },
  heightTenthMm: { label: 'High', narrow: true },
  depthTenthMm: { label: 'Deep', narrow: true },
};
const NEEDED: Partial<Record<WrittenKey, string>> = {
  name: 'Give the space a name, such as “Linen closet”.',
  room: 'Say which room it is in, such as “Stairs”.',
};

/** From this width on the drawing stands beside the form. */
const WIDE_FORM = 900;
const NO_CODES = { shapes: new Set<string>() };
const NOWHERE = { roomId: '', sort: 0 };
const UNNAMED = { name: 'New', widthTenthMm: null, heightTenthMm: null, depthTenthMm: null, bins: [] };
/** Drawn only, never sent: each row just wants an id of its own. */
function drawnOps(wanted: NewSpace): Op[] {
  let id = 0;
  return opsForNewSpace(wanted, NOWHERE, NO_CODES, () => `drawn-${id++}`).ops;
}

const KIND_PICTURE = { width: 73, height: 66 };
/** Width and height, in tenths of a millimetre, that make a kind known at a glance. Only for its small picture. */
const PICTURED: Partial<Record<SpaceKind, readonly [number, number]>> = {
  closet: [11_000, 21_000],
  cupboard: [11_000, 9000],
  refrigerator: [6000, 17_000],
  upright_freezer: [6500, 16_000],
  other: [14_000, 7000],
};
const KindPicture = memo(function KindPicture({ kind }: { kind: SpaceKind }) {
  const [widthTenthMm, heightTenthMm] = PICTURED[kind] ?? [null, null];
  const view = previewOf(drawnOps({ ...UNNAMED, widthTenthMm, heightTenthMm, kind, count: USUAL_SHELVES[kind].count }));
  return view ? (
    <OpenDoorView
      view={view}
      width={KIND_PICTURE.width}
      maxHeight={KIND_PICTURE.height}
      thumbnail
      summaryOf={emptySummary}
    />
  ) : null;
});

/** A new space, drawn as it is described: name, room, kind, shelves, measures when they are at hand, first bins. */
export function NewSpaceScreen() {
  const router = useRouter();
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const content = useContentWidth();
  const wide = content >= WIDE_FORM;
  const { unit, rooms, inUse, sort } = useHousehold(({ state }) => ({
    unit: state.get('household', me.householdId)?.lengthUnit ?? ('metric' as const),
    rooms: state.all('room'),
    inUse: state.codesInUse(),
    sort: state.all('space').length,
  }));
  const [kind, setKind] = useState<SpaceKind>('cupboard');
  const [chosenCount, setChosenCount] = useState<number | null>(null);
  const count = chosenCount ?? USUAL_SHELVES[kind].count;
  const [bins, setBins] = useState<Readonly<Record<number, string>>>({});
  const [patternKey, setPatternKey] = useState('');
  const pattern = SPACE_PATTERNS.find(({ key }) => key === patternKey);
  const shelves = shelfKindsOf(kind, count);
  const wantedOf = (texts: Written): NewSpace => {
    const measured = (key: WrittenKey): number | null => {
      const reading = readFieldText(fieldOf(key), texts[key], unit);
      return reading.ok ? (reading.value as number | null) : null;
    };
    return {
      name: texts.name.trim() || UNNAMED.name,
      kind,
      count,
      widthTenthMm: measured('widthTenthMm'),
      heightTenthMm: measured('heightTenthMm'),
      depthTenthMm: measured('depthTenthMm'),
      bins: shelves.map((_, at) => binNamesIn(bins[at] ?? '')),
    };
  };
  const wrong = (texts: Written): Partial<Written> => {
    const problems: Partial<Written> = {};
    for (const key of Object.keys(INPUTS) as WrittenKey[]) {
      // A pattern brings its own figures.
      if (pattern && (MEASURES as readonly string[]).includes(key)) continue;
      const reading = readFieldText(fieldOf(key), texts[key], unit);
      if (!reading.ok)
        problems[key] = (texts[key].trim() === '' ? NEEDED[key] : undefined) ?? problemWords(reading.problem, unit);
    }
    return problems;
  };

  const create = async (texts: Written): Promise<void> => {
    const roomName = texts.room.trim();
    const known = rooms.find((room) => room.name.toLowerCase() === roomName.toLowerCase());
    const roomId = known?.id ?? uuidv7();
    const room: Op[] = known
      ? []
      : [{ op: 'create', entity: 'room', id: roomId, fields: { name: roomName, sort: rooms.length } }];
    const wanted = wantedOf(texts);
    const newId = (): string => uuidv7();
    const made = pattern
      ? opsFromPattern(pattern, { roomId, name: wanted.name, sort }, inUse, newId)
      : opsForNewSpace(wanted, { roomId, sort }, inUse, newId);
    const done = pattern ? `Added: ${wanted.name}. Now measure it.` : addedSpaceWords(wanted.name, wanted);
    if ((await runCommand('space_added', [...room, ...made.ops], done)) !== null) return;
    const hasBins = wanted.bins.some((names) => names.length > 0);
    router.replace(
      pattern
        ? `/space/${made.spaceId}/measure?guess=1`
        : hasBins
          ? `/space/${made.spaceId}`
          : `/space/${made.spaceId}?edit=1`,
    );
  };

  const page = ({ draw, submit, texts, write }: FormView<WrittenKey>) => (
    <Screen
      title="A new space"
      back="/nooks"
      footer={
        <YStack paddingHorizontal={16} paddingVertical={8} backgroundColor="$background">
          <YStack maxWidth={528}>
            <Button kind="primary" label="Add it" onPress={() => submit()} />
          </YStack>
        </YStack>
      }
    >
      <XStack gap={24} alignItems="flex-start">
        <YStack padding={16} gap={16} maxWidth={560} flex={1}>
          {draw('name')}
          <YStack gap={6}>
            {draw('room')}
            {rooms.length > 0 ? (
              <Choices
                label="Rooms there are"
                hideLabel
                choices={rooms.map((room) => ({ value: room.name, label: room.name }))}
                value={texts.room}
                onChange={(room) => write('room', room)}
              />
            ) : null}
          </YStack>
          {pattern ? null : (
            <Choices label="What kind of space?" wrap choices={KIND_CHOICES} value={kind} onChange={setKind} />
          )}
          <Choices
            label="Or from a pattern with figures"
            choices={PATTERN_CHOICES}
            value={patternKey}
            onChange={setPatternKey}
          />
          {pattern ? (
            <Small>Its figures are only a start; each is asked for next, one after the other.</Small>
          ) : (
            <>
              <XStack gap={10} alignItems="center">
                <Strong flex={1}>How many {shelvesWord(kind)}?</Strong>
                <Stepper
                  label={`How many ${shelvesWord(kind)}`}
                  value={count}
                  testID="shelf-count"
                  less="Fewer"
                  more="More"
                  canLess={count > 0}
                  canMore={count < MOST_SHELVES}
                  onLess={() => setChosenCount(count - 1)}
                  onMore={() => setChosenCount(count + 1)}
                />
              </XStack>
              {wide ? null : <Growing wanted={wantedOf(texts)} width={content - 32} maxHeight={220} />}
              <XStack gap={8}>{MEASURES.map(draw)}</XStack>
              <Small>
                Measures can wait. Write them as the tape says: 31.5, 31,5 cm, 315 mm, 12 3/8&quot; or 1&apos; 2&quot;.
              </Small>
              <YStack gap={8}>
                <Strong>First bins, with commas between</Strong>
                {shelves.map((shelfKind, at) => (
                  <Field
                    key={at}
                    label={shelfFieldWords(shelfKind, at, shelves)}
                    placeholder={at === 0 ? 'towels, sheets' : ''}
                    value={bins[at] ?? ''}
                    onChangeText={(typed) => setBins((now) => ({ ...now, [at]: typed }))}
                  />
                ))}
                <Small>They can wait too; each gets its code when it is added.</Small>
              </YStack>
            </>
          )}
        </YStack>
        {wide && !pattern ? <Growing wanted={wantedOf(texts)} width={content - 560 - 40} maxHeight={560} /> : null}
      </XStack>
    </Screen>
  );
  return (
    <Form
      inputs={mapped(INPUTS, (input, key) => inputOf(input, fieldOf(key), unit))}
      start={{ name: '', room: rooms[0]?.name ?? '', widthTenthMm: '', heightTenthMm: '', depthTenthMm: '' }}
      check={wrong}
      onSubmit={(texts) => void create(texts)}
      late
      follows
    >
      {page}
    </Form>
  );
}

const KIND_CHOICES = SPACE_KINDS.map((value) => ({
  value,
  label: SPACE_KIND_WORDS[value],
  picture: <KindPicture kind={value} />,
}));
const PATTERN_CHOICES = [
  { value: '', label: 'None' },
  ...SPACE_PATTERNS.map(({ key }) => ({ value: key, label: PATTERN_WORDS[key] ?? key })),
];

/** The space as it is described so far. */
function Growing({ wanted, width, maxHeight }: { wanted: NewSpace; width: number; maxHeight: number }) {
  const key = JSON.stringify(wanted);
  const view = useMemo(() => previewOf(drawnOps(JSON.parse(key) as NewSpace)), [key]);
  if (!view) return null;
  return (
    <YStack alignItems="center" testID="growing-space">
      <OpenDoorView view={view} width={width} maxHeight={maxHeight} summaryOf={emptySummary} />
    </YStack>
  );
}
