import {
  cutBars,
  dividerStrips,
  lengthField,
  linersFromRoll,
  modelSpace,
  NOMINAL_BOARDS,
  riserPieces,
  wholeField,
  type LengthUnit,
  type SpaceRow,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useHome } from '@/shared/useHome';
import { Choices } from '@/kit/form/Choices';
import { useFigures } from '@/kit/form/useFigures';
import { Problem } from '@/kit/feedback/Problem';
import { ListHeading } from '@/kit/layout/ListRow';
import { Small, Strong } from '@/kit/text/Text';
import { shelfWords } from '@/shared/placeWords';
import { Bars } from './Bars';
import { DrawerSections } from './DrawerSections';
import { boardWords, linerWords, riserWords, rollWords, sectionWords, slotWords } from './words';

type What = 'sections' | 'dividers' | 'liners' | 'risers';

/** Dividers from strips, liners from a roll, risers from boards: what to cut from what. */
export function CutLists({ space }: { space: SpaceRow }) {
  const [what, setWhat] = useState<What>('dividers');
  const { unit } = useHome();
  return (
    <YStack gap={10} testID="cut-lists">
      <ListHeading title="To cut" />
      <YStack paddingHorizontal={16} gap={10}>
        <Choices
          label="What to cut"
          hideLabel
          choices={[
            { value: 'sections', label: 'A drawer for its things' },
            { value: 'dividers', label: 'Dividers' },
            { value: 'liners', label: 'Shelf liners' },
            { value: 'risers', label: 'Risers' },
          ]}
          value={what}
          onChange={setWhat}
        />
        {what === 'sections' ? (
          <DrawerSections space={space} unit={unit} />
        ) : what === 'dividers' ? (
          <Dividers unit={unit} />
        ) : what === 'liners' ? (
          <Liners space={space} unit={unit} />
        ) : (
          <Risers unit={unit} />
        )}
      </YStack>
    </YStack>
  );
}

const lengthOf = (label: string) => ({ label, field: lengthField() });
/** A saw cut or a strip may be taken as nothing wide. */
const thin = (label: string) => ({ label, field: lengthField(0) });
const sections = (label: string) => ({ label, field: wholeField(1, MOST_SECTIONS) });
const MOST_SECTIONS = 40;
const DIVIDER = {
  width: lengthOf('Inside, wide'),
  depth: lengthOf('Inside, deep'),
  columns: sections('Columns'),
  rows: sections('Rows'),
  thickness: thin('Strip, thick'),
  stock: lengthOf('Strip, long'),
  kerf: thin('Saw cut'),
};
const LINER = { roll: lengthOf('Roll, wide') };
const RISER = {
  width: lengthOf('Riser, wide'),
  depth: lengthOf('Riser, deep'),
  height: lengthOf('At least high'),
  stock: lengthOf('Board, long'),
  kerf: thin('Saw cut'),
};

function Dividers({ unit }: { unit: LengthUnit }) {
  const start =
    unit === 'metric'
      ? { width: '40', depth: '30', columns: '3', rows: '2', thickness: '5 mm', stock: '1 m', kerf: '2 mm' }
      : { width: '16', depth: '12', columns: '3', rows: '2', thickness: '1/4"', stock: '36', kerf: '1/8"' };
  const { inputs, values, problem } = useFigures(DIVIDER, unit, start);
  const divided =
    values &&
    dividerStrips(
      { widthTenthMm: values.width, depthTenthMm: values.depth },
      values.columns,
      values.rows,
      values.thickness,
    );
  return (
    <YStack gap={10}>
      <XStack gap={8} flexWrap="wrap">
        {inputs}
      </XStack>
      <Problem text={problem} />
      {values && !divided ? (
        <Problem text="So many strips fill the drawer; fewer sections or thinner strips are needed." />
      ) : null}
      {values && divided ? (
        <YStack gap={4} testID="cut-answer">
          <Strong>{sectionWords(divided, unit)}</Strong>
          <Bars plan={cutBars(divided.strips, values.stock, values.kerf)} unit={unit} stock={values.stock} />
          {divided.slots > 0 ? <Small>{slotWords(divided.slots, values.thickness, unit)}</Small> : null}
        </YStack>
      ) : null}
    </YStack>
  );
}

function Liners({ space, unit }: { space: SpaceRow; unit: LengthUnit }) {
  const { inputs, values, problem } = useFigures(LINER, unit, { roll: unit === 'metric' ? '45' : '18' });
  const shelves = useHousehold(({ state }) =>
    modelSpace(space, state.shelvesOf(space.id)).shelves.map(({ shelf, room, bayTenthMm }) => ({
      name: shelfWords(state, shelf),
      wire: shelf.build?.surface === 'wire',
      widthTenthMm: room.width - 2 * bayTenthMm,
      depthTenthMm: room.depth,
    })),
  );
  const lined = shelves.some(({ wire }) => wire) ? shelves.filter(({ wire }) => wire) : shelves;
  const answer = values && linersFromRoll(lined, values.roll);
  return (
    <YStack gap={10}>
      <XStack gap={8}>{inputs}</XStack>
      <Problem text={problem} />
      {answer ? (
        <YStack gap={2}>
          <Strong>{rollWords(answer.rollLength, lined.length, unit)}</Strong>
          {answer.cuts.map((cut) => (
            <Small key={cut.name}>{linerWords(cut, unit)}</Small>
          ))}
        </YStack>
      ) : null}
    </YStack>
  );
}

function Risers({ unit }: { unit: LengthUnit }) {
  const start =
    unit === 'metric'
      ? { width: '60', depth: '18', height: '7', stock: '2.4 m', kerf: '3 mm' }
      : { width: '24', depth: '7', height: '3', stock: '96', kerf: '1/8"' };
  const { inputs, values, problem } = useFigures(RISER, unit, start);
  const [nominal, setNominal] = useState('2×4');
  const board = NOMINAL_BOARDS.find((one) => one.nominal === nominal)!;
  const riser =
    values &&
    riserPieces({ widthTenthMm: values.width, depthTenthMm: values.depth, heightTenthMm: values.height }, board);
  return (
    <YStack gap={10}>
      <Choices
        label="Board, by its nominal inches"
        choices={NOMINAL_BOARDS.map((one) => ({ value: one.nominal, label: one.nominal }))}
        value={nominal}
        onChange={setNominal}
      />
      <Small>{boardWords(board, unit)}</Small>
      <XStack gap={8} flexWrap="wrap">
        {inputs}
      </XStack>
      <Problem text={problem} />
      {values && riser ? (
        <YStack gap={4}>
          <Strong>{riserWords(riser, unit)}</Strong>
          <Bars plan={cutBars(riser.pieces, values.stock, values.kerf)} unit={unit} stock={values.stock} />
          <Small>
            Screw or glue the layers together and sand the edges. Mind the saw: follow its maker’s safety rules.
          </Small>
        </YStack>
      ) : null}
    </YStack>
  );
}
