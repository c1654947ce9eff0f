import {
  cutBars,
  describeShelf,
  dividerStrips,
  formatLength,
  linersFromRoll,
  modelSpace,
  NOMINAL_BOARDS,
  readLength,
  riserPieces,
  type CutPlan,
  type LengthUnit,
  type SpaceRow,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/home/HouseholdProvider';
import { useHome } from '@/home/useHome';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { ListHeading } from '@/kit/layout/ListRow';
import { Small, Strong, Text } from '@/kit/text/Text';

type What = 'dividers' | 'liners' | 'risers';

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
            { value: 'dividers', label: 'Dividers' },
            { value: 'liners', label: 'Shelf liners' },
            { value: 'risers', label: 'Risers' },
          ]}
          value={what}
          onChange={setWhat}
        />
        {what === 'dividers' ? (
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

type Texts = Record<string, string>;

/** Fields for lengths and counts; what they read, or the first sentence about what could not be read. */
function useFigures(start: Texts, unit: LengthUnit) {
  const [texts, setTexts] = useState(start);
  const length = (key: string): number | string => {
    const text = texts[key] ?? '';
    if (/^0([.,]0+)?( ?mm| ?cm)?$/.test(text.trim())) return 0;
    const reading = readLength(text, unit);
    return reading.ok ? reading.tenthMm : reading.problem;
  };
  const count = (key: string): number | string => {
    const value = Number(texts[key]);
    return Number.isInteger(value) && value >= 1 && value <= 40
      ? value
      : `“${texts[key]}” is not a number of sections; 1 to 40 are accepted.`;
  };
  const field = (key: string, label: string) => (
    <Field
      key={key}
      width={108}
      label={label}
      value={texts[key] ?? ''}
      onChangeText={(text) => setTexts((now) => ({ ...now, [key]: text }))}
    />
  );
  return { length, count, field };
}

const firstProblem = (...values: (number | string)[]): string | null =>
  values.find((value): value is string => typeof value === 'string') ?? null;

function Dividers({ unit }: { unit: LengthUnit }) {
  const start: Texts =
    unit === 'metric'
      ? { width: '40', depth: '30', columns: '3', rows: '2', thickness: '5 mm', stock: '1 m', kerf: '2 mm' }
      : { width: '16', depth: '12', columns: '3', rows: '2', thickness: '1/4"', stock: '36', kerf: '1/8"' };
  const { length, count, field } = useFigures(start, unit);
  const [width, depth, columns, rows] = [length('width'), length('depth'), count('columns'), count('rows')];
  const [thickness, stock, kerf] = [length('thickness'), length('stock'), length('kerf')];
  const problem = firstProblem(width, depth, columns, rows, thickness, stock, kerf);
  const divided =
    problem === null
      ? dividerStrips(
          { widthTenthMm: width as number, depthTenthMm: depth as number },
          columns as number,
          rows as number,
          thickness as number,
        )
      : null;
  return (
    <YStack gap={10}>
      <XStack gap={8} flexWrap="wrap">
        {field('width', 'Inside, wide')}
        {field('depth', 'Inside, deep')}
        {field('columns', 'Columns')}
        {field('rows', 'Rows')}
        {field('thickness', 'Strip, thick')}
        {field('stock', 'Strip, long')}
        {field('kerf', 'Saw cut')}
      </XStack>
      {problem ? <Problem text={problem} /> : null}
      {problem === null && !divided ? (
        <Problem text="So many strips fill the drawer; fewer sections or thinner strips are needed." />
      ) : null}
      {divided ? (
        <YStack gap={4} testID="cut-answer">
          <Strong>
            {`Each section is ${formatLength(divided.compartment.widthTenthMm, unit)} by ${formatLength(divided.compartment.depthTenthMm, unit)}.`}
          </Strong>
          <Bars plan={cutBars(divided.strips, stock as number, kerf as number)} unit={unit} stock={stock as number} />
          {divided.slots > 0 ? (
            <Small>{`${divided.slots} slots, each half the height and ${formatLength(thickness as number, unit)} wide, where they cross.`}</Small>
          ) : null}
        </YStack>
      ) : null}
    </YStack>
  );
}

function Bars({ plan, unit, stock }: { plan: CutPlan; unit: LengthUnit; stock: number }) {
  if (!plan.ok)
    return (
      <Problem
        text={`A strip of ${formatLength(plan.tooLong[0]!.length, unit)} cannot be cut from ${formatLength(stock, unit)}.`}
      />
    );
  if (plan.bars.length === 0) return <Text>Nothing to cut.</Text>;
  return (
    <YStack gap={2}>
      <Text>
        {`${plan.bars.length} ${plan.bars.length === 1 ? 'strip' : 'strips'} of ${formatLength(stock, unit)}, ${plan.fewest ? 'the fewest possible' : 'the fewest found'}; ${formatLength(plan.waste, unit)} left over.`}
      </Text>
      {plan.bars.map((bar, at) => (
        <Small
          key={at}
        >{`${at + 1}: ${bar.pieces.map(({ length }) => formatLength(length, unit)).join(' + ')}, rest ${formatLength(bar.rest, unit)}`}</Small>
      ))}
    </YStack>
  );
}

function Liners({ space, unit }: { space: SpaceRow; unit: LengthUnit }) {
  const { length, field } = useFigures({ roll: unit === 'metric' ? '45' : '18' }, unit);
  const shelves = useHousehold(({ state }) =>
    modelSpace(space, state.shelvesOf(space.id)).shelves.map(({ shelf, room, bayTenthMm }) => ({
      name: describeShelf(state, shelf),
      wire: shelf.build?.surface === 'wire',
      widthTenthMm: room.width - 2 * bayTenthMm,
      depthTenthMm: room.depth,
    })),
  );
  const roll = length('roll');
  const lined = shelves.some(({ wire }) => wire) ? shelves.filter(({ wire }) => wire) : shelves;
  const answer = typeof roll === 'number' && roll > 0 ? linersFromRoll(lined, roll) : null;
  return (
    <YStack gap={10}>
      <XStack gap={8}>{field('roll', 'Roll, wide')}</XStack>
      {typeof roll === 'string' ? <Problem text={roll} /> : null}
      {answer ? (
        <YStack gap={2}>
          <Strong>{`${formatLength(answer.rollLength, unit)} of roll for ${lined.length} ${lined.length === 1 ? 'shelf' : 'shelves'}.`}</Strong>
          {answer.cuts.map((cut) => (
            <Small key={cut.name}>
              {`${cut.name}: ${cut.strips > 1 ? `${cut.strips} strips of ` : ''}${formatLength(cut.length, unit)}, trimmed to ${formatLength(cut.across, unit)} in all`}
            </Small>
          ))}
        </YStack>
      ) : null}
    </YStack>
  );
}

function Risers({ unit }: { unit: LengthUnit }) {
  const start: Texts =
    unit === 'metric'
      ? { width: '60', depth: '18', height: '7', stock: '2.4 m', kerf: '3 mm' }
      : { width: '24', depth: '7', height: '3', stock: '96', kerf: '1/8"' };
  const { length, field } = useFigures(start, unit);
  const [nominal, setNominal] = useState('2×4');
  const [width, depth, height, stock, kerf] = [
    length('width'),
    length('depth'),
    length('height'),
    length('stock'),
    length('kerf'),
  ];
  const problem = firstProblem(width, depth, height, stock, kerf);
  const board = NOMINAL_BOARDS.find((one) => one.nominal === nominal)!;
  const riser =
    problem === null
      ? riserPieces(
          { widthTenthMm: width as number, depthTenthMm: depth as number, heightTenthMm: height as number },
          board,
        )
      : null;
  return (
    <YStack gap={10}>
      <Choices
        label="Board, by its nominal inches"
        choices={NOMINAL_BOARDS.map((one) => ({ value: one.nominal, label: one.nominal }))}
        value={nominal}
        onChange={setNominal}
      />
      <Small>{`A ${nominal} is truly ${formatLength(Math.round(board.thicknessTenthMm), unit)} by ${formatLength(Math.round(board.widthTenthMm), unit)}.`}</Small>
      <XStack gap={8} flexWrap="wrap">
        {field('width', 'Riser, wide')}
        {field('depth', 'Riser, deep')}
        {field('height', 'At least high')}
        {field('stock', 'Board, long')}
        {field('kerf', 'Saw cut')}
      </XStack>
      {problem ? <Problem text={problem} /> : null}
      {riser ? (
        <YStack gap={4}>
          <Strong>
            {`${riser.layers} ${riser.layers === 1 ? 'layer' : 'layers'} of ${riser.sideBySide}: ${formatLength(Math.round(riser.heightTenthMm), unit)} high, ${formatLength(Math.round(riser.depthTenthMm), unit)} deep.`}
          </Strong>
          <Bars plan={cutBars(riser.pieces, stock as number, kerf as number)} unit={unit} stock={stock as number} />
          <Small>
            Screw or glue the layers together and sand the edges. Mind the saw: follow its maker’s safety rules.
          </Small>
        </YStack>
      ) : null}
    </YStack>
  );
}

const Problem = ({ text }: { text: string }) => (
  <Text color="$late" role="alert">
    {text}
  </Text>
);
