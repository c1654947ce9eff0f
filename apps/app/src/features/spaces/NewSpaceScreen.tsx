import {
  codeShape,
  newShelfCode,
  newSpaceCode,
  opsFromPattern,
  readLength,
  SPACE_KINDS,
  SPACE_PATTERNS,
  type Op,
  type ShelfFields,
  type ShelfKind,
  type SpaceKind,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm, type Resolver } from 'react-hook-form';
import { XStack, YStack } from 'tamagui';
import { v7 as uuidv7 } from 'uuid';
import { useHousehold, useHouseholdContext } from '@/home/HouseholdProvider';
import { useRunCommand } from '@/home/useRunCommand';
import { loadRules } from '@/data/api/loadRules';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Screen } from '@/kit/layout/Screen';
import { Small, Strong } from '@/kit/text/Text';
import { PATTERN_WORDS } from '@/features/measure/words';
import { SPACE_KIND_WORDS } from './words';

interface NewSpace {
  name: string;
  room: string;
  width: string;
  height: string;
  depth: string;
}

const resolveNewSpace: Resolver<NewSpace> = async (values, context, options) => {
  const rules = await loadRules();
  const schema = rules.Joi.object<NewSpace>({
    name: rules.Joi.string()
      .trim()
      .min(1)
      .max(120)
      .required()
      .messages({ '*': 'Give the space a name, such as “Linen closet”.' }),
    room: rules.Joi.string()
      .trim()
      .min(1)
      .max(120)
      .required()
      .messages({ '*': 'Say which room it is in, such as “Stairs”.' }),
    width: rules.Joi.string().allow(''),
    height: rules.Joi.string().allow(''),
    depth: rules.Joi.string().allow(''),
  });
  return rules.joiResolver(schema)(values, context, options as never) as never;
};

/** What a space of a kind usually consists of, top to bottom; a start that can be changed (own defaults). */
const USUAL_SHELVES: Readonly<Record<SpaceKind, ShelfKind>> = {
  storage_rack: 'shelf',
  closet: 'shelf',
  cupboard: 'shelf',
  chest_freezer: 'floor',
  upright_freezer: 'drawer',
  refrigerator: 'shelf',
  drawer_unit: 'drawer',
  medicine_cupboard: 'shelf',
  vehicle: 'floor',
  other: 'shelf',
};
const MOST_SHELVES = 20;

/** A new space with its shelves: name, room, kind, how many shelves; measures when they are at hand. */
export function NewSpaceScreen() {
  const router = useRouter();
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const { unit, rooms, inUse, sort } = useHousehold(({ state }) => ({
    unit: state.get('household', me.householdId)?.lengthUnit ?? ('metric' as const),
    rooms: state.all('room'),
    inUse: state.codesInUse(),
    sort: state.all('space').length,
  }));
  const [kind, setKind] = useState<SpaceKind>('cupboard');
  const [count, setCount] = useState(3);
  const [patternKey, setPatternKey] = useState('');
  const pattern = SPACE_PATTERNS.find(({ key }) => key === patternKey);
  const { control, handleSubmit, setError, setValue, watch } = useForm<NewSpace>({
    resolver: resolveNewSpace,
    defaultValues: { name: '', room: rooms[0]?.name ?? '', width: '', height: '', depth: '' },
  });

  const create = handleSubmit(async (values) => {
    const measures: Record<'width' | 'height' | 'depth', number | null> = { width: null, height: null, depth: null };
    for (const key of ['width', 'height', 'depth'] as const) {
      if (values[key].trim() === '') continue;
      const reading = readLength(values[key], unit);
      if (!reading.ok) return setError(key, { message: reading.problem });
      measures[key] = reading.tenthMm;
    }
    const known = rooms.find((room) => room.name.toLowerCase() === values.room.trim().toLowerCase());
    const roomId = known?.id ?? uuidv7();
    if (pattern) {
      const where = { roomId, name: values.name.trim(), sort };
      const made = opsFromPattern(pattern, where, inUse, () => uuidv7());
      const roomFields = { name: values.room.trim(), sort: rooms.length };
      const room: Op[] = known ? [] : [{ op: 'create', entity: 'room', id: roomId, fields: roomFields }];
      const refused = await runCommand('space_added', [...room, ...made.ops], `Added: ${where.name}. Now measure it.`);
      if (refused === null) router.replace(`/space/${made.spaceId}/measure?guess=1`);
      return;
    }
    const spaceId = uuidv7();
    const used = new Set(inUse.shapes);
    const code = newSpaceCode(values.name, { shapes: used });
    used.add(codeShape(code));
    const ops: Op[] = [
      ...(known
        ? []
        : [
            {
              op: 'create',
              entity: 'room',
              id: roomId,
              fields: { name: values.room.trim(), sort: rooms.length },
            } satisfies Op,
          ]),
      {
        op: 'create',
        entity: 'space',
        id: spaceId,
        fields: {
          roomId,
          name: values.name.trim(),
          kind,
          code,
          widthTenthMm: measures.width,
          heightTenthMm: measures.height,
          depthTenthMm: measures.depth,
          postWidthTenthMm: null,
          locked: false,
          note: '',
          sort,
        },
      },
      ...startingShelves(spaceId, code, kind, count, used),
    ];
    const refusal = await runCommand(
      'space_added',
      ops,
      `Added: ${values.name.trim()} with ${count} ${count === 1 ? 'shelf' : 'shelves'}.`,
    );
    if (refusal === null) router.replace(`/space/${spaceId}?edit=1`);
  });

  return (
    <Screen title="A new space" back="/nooks">
      <YStack padding={16} gap={16} maxWidth={560}>
        <TextField control={control} name="name" label="What is it called?" placeholder="Linen closet" />
        <YStack gap={6}>
          <TextField control={control} name="room" label="In which room?" placeholder="Stairs" />
          {rooms.length > 0 ? (
            <Choices
              label="Rooms there are"
              hideLabel
              choices={rooms.map((room) => ({ value: room.name, label: room.name }))}
              value={watch('room')}
              onChange={(room) => setValue('room', room)}
            />
          ) : null}
        </YStack>
        <Choices
          label="Start from a pattern"
          choices={[
            { value: '', label: 'None' },
            ...SPACE_PATTERNS.map(({ key }) => ({ value: key, label: PATTERN_WORDS[key] ?? key })),
          ]}
          value={patternKey}
          onChange={setPatternKey}
        />
        {pattern ? (
          <Small>Its figures are only a start; each is asked for next, one after the other.</Small>
        ) : (
          <>
            <Choices
              label="What kind of space?"
              wrap
              choices={SPACE_KINDS.map((value) => ({ value, label: SPACE_KIND_WORDS[value] }))}
              value={kind}
              onChange={setKind}
            />
            <XStack gap={10} alignItems="center" role="group" aria-label="How many shelves">
              <Strong flex={1}>
                How many{' '}
                {USUAL_SHELVES[kind] === 'drawer' ? 'drawers' : kind === 'chest_freezer' ? 'floor places' : 'shelves'}?
              </Strong>
              <Button label="Fewer" onPress={() => setCount((now) => Math.max(0, now - 1))} />
              <Strong testID="shelf-count" minWidth={24} textAlign="center">
                {count}
              </Strong>
              <Button label="More" onPress={() => setCount((now) => Math.min(MOST_SHELVES, now + 1))} />
            </XStack>
            <XStack gap={8}>
              <TextField
                control={control}
                name="width"
                label="Wide"
                placeholder={unit === 'metric' ? 'cm' : 'in'}
                width={110}
              />
              <TextField
                control={control}
                name="height"
                label="High"
                placeholder={unit === 'metric' ? 'cm' : 'in'}
                width={110}
              />
              <TextField
                control={control}
                name="depth"
                label="Deep"
                placeholder={unit === 'metric' ? 'cm' : 'in'}
                width={110}
              />
            </XStack>
            <Small>
              Measures can wait. Write them as the tape says: 31.5, 31,5 cm, 315 mm, 12 3/8&quot; or 1&apos; 2&quot;.
            </Small>
          </>
        )}
        <Button kind="primary" label="Add it" onPress={() => void create()} />
      </YStack>
    </Screen>
  );
}

function startingShelves(spaceId: string, spaceCode: string, kind: SpaceKind, count: number, used: Set<string>): Op[] {
  const unmeasured = {
    leftTenthMm: null,
    bottomTenthMm: null,
    widthTenthMm: null,
    heightTenthMm: null,
    depthTenthMm: null,
  };
  const kinds: ShelfKind[] = [
    ...(kind === 'chest_freezer' ? (['hanging_basket', 'hanging_basket'] as const) : []),
    ...Array.from({ length: count }, () => USUAL_SHELVES[kind]),
  ];
  return kinds.map((shelfKind, sort): Op => {
    const code = newShelfCode(spaceCode, { shapes: used });
    used.add(codeShape(code));
    const fields: ShelfFields = { spaceId, name: '', kind: shelfKind, code, sort, ...unmeasured };
    return { op: 'create', entity: 'shelf', id: uuidv7(), fields };
  });
}

function TextField({
  control,
  name,
  label,
  placeholder,
  width,
}: {
  control: ReturnType<typeof useForm<NewSpace>>['control'];
  name: keyof NewSpace;
  label: string;
  placeholder: string;
  width?: number;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          placeholder={placeholder}
          value={field.value}
          onChangeText={field.onChange}
          onBlur={field.onBlur}
          problem={fieldState.error?.message}
          {...(width === undefined ? {} : { width })}
        />
      )}
    />
  );
}
