import {
  cardsFor,
  REFERENCE_CARDS,
  type ReferenceCard,
  LABEL_SHEETS,
  labelledIn,
  labelsOnPage,
  layForm,
  type Labelled,
  type LabelLayout,
} from '@ours/core';
import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { choicesOf } from '@/kit/form/choice';
import { Stepper } from '@/kit/form/Stepper';
import { EmptyState } from '@/kit/layout/EmptyState';
import { LabelledLine } from '@/kit/layout/LabelledLine';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { Plate } from '@/kit/text/Plate';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useHome } from '@/shared/useHome';
import { LabelPicture } from './LabelPicture';
import { PrinterDialog } from './PrinterDialog';
import { useLabelOutput, wishOf } from './useLabelOutput';
import { WordsDialog } from './WordsDialog';
import { keepLabelWishes, labelWishes, MOST_SHIFT, type LabelWishes } from './labelWishes';
import {
  CARD_WORDS,
  changedWords,
  codeWords,
  DISTANCES,
  distanceWords,
  FORM_WORDS,
  pagesWords,
  readableWords,
  sheetWords,
  shiftWords,
  SINCE_WORDS,
} from './words';

/** Read from so far, unless something else was chosen: standing before a shelf. */
const USUAL_DISTANCE = 2;
const SHIFT_STEP = 0.5;
/** The picture of a label is no higher than that on the screen. */
const MOST_HIGH = 300;

/** The labels of a space: which, how large, on what sheet; printed, and remembered as printed. */
export function LabelsScreen() {
  const { id, only } = useLocalSearchParams<{ id: string; only?: string }>();
  const space = useHousehold(({ state }) => (id ? (state.get('space', id) ?? null) : null));
  if (!space || space.retired) return <NotHere what="This place" />;
  return <SpaceLabels key={space.id} spaceId={space.id} name={space.name} only={only?.split(',') ?? null} />;
}

function SpaceLabels({
  spaceId,
  name,
  only,
}: {
  spaceId: string;
  name: string;
  /** Ids of the places whose labels were asked for; null: all. */
  only: readonly string[] | null;
}) {
  const { unit } = useHome();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const labels = useHousehold(({ state, version }) => ({ all: labelledIn(state, spaceId), version })).all;
  const [left, setLeft] = useState<ReadonlySet<string>>(
    () =>
      new Set(
        labels
          .filter(({ keptFree, nookId }) => (only === null ? keptFree : !only.includes(nookId)))
          .map(({ nookId }) => nookId),
      ),
  );
  const [shown, setShown] = useState<string | null>(null);
  const helpful = useHousehold(({ state }) => cardsFor(state, spaceId));
  const [cards, setCards] = useState<readonly ReferenceCard[]>(helpful);
  const [wording, setWording] = useState(false);
  const [used, setUsed] = useState(0);
  const [wishes, setWishes] = useState<LabelWishes>(labelWishes);
  const change = (fields: Partial<LabelWishes>): void => {
    const next = { ...wishes, ...fields };
    setWishes(next);
    keepLabelWishes(next);
  };
  const ofPaper = LABEL_SHEETS.filter(({ paper }) => (paper === 'A4') === (unit === 'metric'));
  const sheet = ofPaper.find(({ id }) => id === wishes.sheetId) ?? ofPaper[0]!;
  const sheets = ofPaper.filter(({ form }) => form === sheet.form);
  const forms = [...new Set(ofPaper.map(({ form }) => form))];
  const distances = DISTANCES[unit];
  const distance = distances.find((one) => one === wishes.distanceMm) ?? distances[USUAL_DISTANCE]!;
  const layout = useMemo(
    () =>
      (one: Labelled): LabelLayout =>
        layForm(sheet.form, wishOf(one, sheet, wishes, distance), wishes.words),
    [sheet, wishes, distance],
  );
  const chosen = labels.filter(({ nookId }) => !left.has(nookId));
  const changed = labels.filter(({ since }) => since === 'words' || since === 'contents');
  const pictured = labels.find(({ nookId }) => nookId === shown) ?? chosen[0] ?? labels[0];

  const out = useLabelOutput({ spaceId, name, sheet, used, wishes, labels, layout, distance });
  const { print } = out;

  if (!pictured)
    return (
      <Screen title="Labels" sub={name} back={`/space/${spaceId}`}>
        <EmptyState text="Nothing here has a name yet. Bins, and shelves that are called something, get labels." />
      </Screen>
    );
  const laid = layout(pictured);
  const pages = Math.ceil((used + chosen.length) / labelsOnPage(sheet));
  const pixels = Math.min(gtMd ? 420 - 32 : content - 32, 420, (MOST_HIGH * sheet.width) / sheet.height);
  const picture = (
    <YStack paddingHorizontal={16} gap={4} paddingTop={8}>
      <LabelPicture
        layout={laid}
        width={sheet.width}
        height={sheet.height}
        form={sheet.form}
        pixels={pixels}
        name={`The label of ${pictured.words}`}
      />
      <XStack>
        <Button kind="quiet" label="Other words …" onPress={() => setWording(true)} />
      </XStack>
      {wishes.words ? <Strong testID="label-read">{readableWords(laid, distance, unit)}</Strong> : null}
      <Small>
        {[codeWords(laid, wishes.code), laid.cut ? 'Its contents do not all fit the line.' : '']
          .filter(Boolean)
          .join(' ')}
      </Small>
    </YStack>
  );
  const printing = (
    <YStack gap={8} paddingHorizontal={16}>
      <XStack gap={8} flexWrap="wrap">
        <Button
          grow
          kind="primary"
          label={chosen.length === 1 ? 'Print 1 label' : `Print ${chosen.length} labels`}
          disabled={chosen.length === 0}
          onPress={() => void print(chosen)}
        />
        {changed.length > 0 ? (
          <Button label={`Only the ${changed.length} changed`} onPress={() => void print(changed)} />
        ) : null}
        <Button label="Test page" onPress={() => void out.testPage()} />
      </XStack>
      <XStack gap={8} flexWrap="wrap">
        <Button label="This one as SVG" onPress={() => void out.svg(pictured)} />
        <Button
          label="To the label printer (simulated)"
          disabled={chosen.length === 0}
          onPress={() => void out.toPrinter(chosen)}
        />
      </XStack>
      <Small>{pagesWords(chosen.length, pages, used)}</Small>
      <Small>
        Saved as a PDF, true to size; print it at 100 %. The test page has the labels’ outlines and a line of 100 mm to
        measure.
      </Small>
    </YStack>
  );
  const wanted = (
    <YStack gap={10} paddingHorizontal={16}>
      <Choices
        label="Read from"
        choices={distances.map((one) => ({ value: String(one), label: distanceWords(one, unit) }))}
        value={String(distance)}
        onChange={(one) => change({ distanceMm: Number(one) })}
      />
      <XStack gap={8} flexWrap="wrap">
        <Button
          label="Words"
          selected={wishes.words}
          onPress={() => change(wishes.words ? { words: false, code: true } : { words: true })}
        />
        {wishes.words ? (
          <Button label="Contents" selected={wishes.contents} onPress={() => change({ contents: !wishes.contents })} />
        ) : null}
        <Button
          label="Scan code"
          selected={wishes.code}
          onPress={() => change(wishes.code ? { code: false, words: true } : { code: true })}
        />
      </XStack>
      <Choices
        label="For"
        wrap
        choices={choicesOf(forms, FORM_WORDS)}
        value={sheet.form}
        onChange={(form) => {
          change({ sheetId: ofPaper.find((one) => one.form === form)!.id });
          setUsed(0);
        }}
      />
      <Choices
        label={`Sheet, ${sheet.paper}`}
        wrap
        choices={sheets.map((one) => ({ value: one.id, label: sheetWords(one) }))}
        value={sheet.id}
        onChange={(sheetId) => {
          change({ sheetId });
          setUsed(0);
        }}
      />
      <LabelledLine label="Labels used up on the first page">
        <Stepper
          label="Labels used up on the first page"
          value={used}
          less="One fewer used up"
          more="One more used up"
          onLess={() => setUsed(used - 1)}
          onMore={() => setUsed(used + 1)}
          canLess={used > 0}
          canMore={used < labelsOnPage(sheet) - 1}
          testID="labels-used"
        />
      </LabelledLine>
      <ShiftLine label="Printer shift to the right" value={wishes.right} onChange={(right) => change({ right })} />
      <ShiftLine label="Printer shift down" value={wishes.down} onChange={(down) => change({ down })} />
    </YStack>
  );
  const card = (
    <YStack gap={8} paddingHorizontal={16} paddingTop={8}>
      <Strong role="heading" aria-level={2}>
        Door card
      </Strong>
      <Small>What is where, with the drawing, for the inside of the door; also for helpers who have no account.</Small>
      <YStack gap={4} role="group" aria-label="Cards with it">
        <Small>With it, a page each:</Small>
        <XStack gap={8} flexWrap="wrap">
          {REFERENCE_CARDS.map((one) => (
            <Button
              key={one}
              label={CARD_WORDS[one]}
              selected={cards.includes(one)}
              onPress={() => setCards(cards.includes(one) ? cards.filter((other) => other !== one) : [...cards, one])}
            />
          ))}
        </XStack>
      </YStack>
      <XStack gap={8} flexWrap="wrap">
        {(unit === 'metric' ? (['A5', 'A4'] as const) : (['half Letter', 'Letter'] as const)).map((size) => (
          <Button key={size} label={`Door card, ${size}`} onPress={() => void out.doorCard(size, cards, 'pdf')} />
        ))}
        <Button
          label="As a picture"
          onPress={() => void out.doorCard(unit === 'metric' ? 'A5' : 'half Letter', cards, 'png')}
        />
      </XStack>
    </YStack>
  );
  const list = (
    <YStack testID="labels-list">
      <ListHeading
        title={`${chosen.length} of ${labels.length} places`}
        remark={changed.length > 0 ? changedWords(changed.length) : undefined}
      />
      {labels.map((one) => (
        <ListRow
          key={one.nookId}
          title={one.words}
          detail={[one.contents, one.keptFree ? 'kept free' : SINCE_WORDS[one.since]].filter(Boolean).join(' · ')}
          selected={one.nookId === pictured.nookId}
          onPress={() => setShown(one.nookId)}
          right={
            <>
              <Plate code={one.code} />
              <CheckSquare
                label={`A label for ${one.words}`}
                state={left.has(one.nookId) ? 'open' : 'ticked'}
                onPress={() =>
                  setLeft((before) => {
                    const next = new Set(before);
                    if (!next.delete(one.nookId)) next.add(one.nookId);
                    return next;
                  })
                }
              />
            </>
          }
        />
      ))}
    </YStack>
  );
  return (
    <Screen title="Labels" sub={name} back={`/space/${spaceId}`}>
      {wording ? <WordsDialog label={pictured} onClose={() => setWording(false)} /> : null}
      {out.pictures ? <PrinterDialog pictures={out.pictures} onClose={out.closePictures} /> : null}
      <TwoPane
        left={list}
        right={
          <>
            {picture}
            {printing}
            {wanted}
            {card}
          </>
        }
        rightWidth={420}
        narrow={
          <>
            {picture}
            {printing}
            {wanted}
            {card}
            {list}
          </>
        }
      />
    </Screen>
  );
}

function ShiftLine({ label, value, onChange }: { label: string; value: number; onChange: (value: number) => void }) {
  return (
    <LabelledLine label={label}>
      <Stepper
        label={label}
        value={shiftWords(value)}
        less={`${label}: less`}
        more={`${label}: more`}
        onLess={() => onChange(value - SHIFT_STEP)}
        onMore={() => onChange(value + SHIFT_STEP)}
        canLess={value > -MOST_SHIFT}
        canMore={value < MOST_SHIFT}
      />
    </LabelledLine>
  );
}
