import {
  careNow,
  entriesOf,
  guideOf,
  limitFor,
  mayRead,
  medicineOf,
  medicinesIn,
  oldestFirst,
  placePath,
  sameIngredient,
  type CareEntryRow,
  type CareNow,
  type ItemRow,
  type PersonRow,
} from '@ours/core';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { dueWords, lotAmountWords } from '@/features/stock/words';
import { Choices } from '@/kit/form/Choices';
import { Footer } from '@/kit/layout/Footer';
import { ListHeading } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { Lock } from '@/kit/press/icons';
import { counted } from '@/kit/text/counted';
import { Heading, Mono, Small, Strong, Text } from '@/kit/text/Text';
import { usePalette } from '@/kit/theme/usePalette';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { today } from '@/shared/opContext';
import { useHome } from '@/shared/useHome';
import { useNow } from '@/shared/useNow';
import { useRunCommand } from '@/shared/useRunCommand';
import { CareTimeline } from './CareTimeline';
import { Caution } from './Caution';
import { GiveDialog } from './GiveDialog';
import { MedicineDialog } from './MedicineDialog';
import { Phones } from './Phones';
import { PoisonCentre } from './PoisonCentre';
import { Refills } from './Refills';
import {
  inDayWords,
  minutesUntil,
  momentWords,
  NOT_LOCKED,
  passedWords,
  spanOfMinutes,
  temperatureWords,
  twiceWords,
  typedWords,
} from './words';

const SHOWN = 6;
const MOST_CELLS = 12;

/** What one person was given: when again by the package, and the log. */
export function PersonCareScreen() {
  const { person: id } = useLocalSearchParams<{ person: string }>();
  const { me } = useHouseholdContext();
  const person = useHousehold(({ state }) => (id ? (state.get('person', id) ?? null) : null));
  if (!person || person.retired || !mayRead(me.role, 'care_entry')) return <NotHere what="This person’s log" />;
  return <OnePerson key={person.id} person={person} />;
}

function OnePerson({ person }: { person: PersonRow }) {
  const nowMs = useNow(useHousehold(({ version }) => version));
  const [chosen, setChosen] = useState<string | null>(null);
  const [dialog, setDialog] = useState<'give' | 'temperature' | 'package' | null>(null);
  const { entries, things, state } = useHousehold((snapshot) => {
    const all = entriesOf(snapshot.state, person.id);
    const own = medicinesIn(snapshot.state)
      .filter(({ personIds }) => personIds.length === 0 || personIds.includes(person.id))
      .map(({ itemId }) => itemId);
    const ids = [...new Set([...all.flatMap(({ itemId }) => (itemId === null ? [] : [itemId])), ...own])];
    return {
      version: snapshot.version,
      state: snapshot.state,
      entries: all,
      things: ids.flatMap((one) => {
        const item = snapshot.state.get('item', one);
        return item && !item.retired ? [item] : [];
      }),
    };
  });
  const item = things.find(({ id }) => id === chosen) ?? things[0] ?? null;
  const now = item ? careNow(state, person.id, item.id, nowMs) : null;
  return (
    <Screen
      title={person.name}
      {...(person.ageYears === null ? {} : { sub: counted(person.ageYears, { one: '# year', other: '# years' }) })}
      back="/care"
      right={item ? <Kept item={item} /> : undefined}
      footer={
        <Footer>
          <Button
            grow
            kind="primary"
            label="Record what was given"
            disabled={item === null}
            onPress={() => setDialog('give')}
          />
          <Button label="Temperature" onPress={() => setDialog('temperature')} />
        </Footer>
      }
    >
      {dialog === 'give' || dialog === 'temperature' ? (
        <GiveDialog
          person={person}
          item={dialog === 'give' ? item : null}
          now={dialog === 'give' ? now : null}
          nowMs={nowMs}
          onClose={() => setDialog(null)}
        />
      ) : null}
      {dialog === 'package' && item ? <MedicineDialog item={item} onClose={() => setDialog(null)} /> : null}
      {things.length > 1 ? (
        <YStack paddingHorizontal={16} paddingBottom={8}>
          <Choices
            label="Which medicine"
            hideLabel
            choices={things.map(({ id, name }) => ({ value: id, label: name }))}
            value={item?.id ?? null}
            onChange={setChosen}
          />
        </YStack>
      ) : null}
      <YStack gap={10} paddingBottom={10}>
        <Phones />
        {item && now ? (
          <ByThePackage person={person} item={item} now={now} nowMs={nowMs} onChange={() => setDialog('package')} />
        ) : (
          <Text paddingHorizontal={16}>
            No medicine is noted for {person.name} yet: note one under Care, then it can be recorded here.
          </Text>
        )}
        <Caution />
      </YStack>
      <Log entries={entries} nowMs={nowMs} />
      <Refills person={person} items={things} />
      <PoisonCentre />
    </Screen>
  );
}

/** Where it is kept, and whether that is locked. */
function Kept({ item }: { item: ItemRow }) {
  const palette = usePalette();
  const { nookId, locked } = useHousehold(({ state }) => {
    const lot = state.lotsOf(item.id)[0];
    const path = lot ? placePath(state, lot.nookId) : null;
    return { nookId: lot?.nookId ?? null, locked: path?.space?.locked ?? false };
  });
  if (nookId === null) return null;
  return (
    <XStack gap={6} alignItems="center">
      {locked ? (
        <>
          <Lock size={20} color={palette.ink} strokeWidth={2} />
          <Small color="$color">locked</Small>
        </>
      ) : null}
      <NookPlate nookId={nookId} />
    </XStack>
  );
}

function ByThePackage({
  person,
  item,
  now,
  nowMs,
  onChange,
}: {
  person: PersonRow;
  item: ItemRow;
  now: CareNow;
  nowMs: number;
  onChange: () => void;
}) {
  const width = Math.min(useContentWidth(), 720) - 32;
  const day = today();
  const { lots, guide, unlocked, typedBy, alikeNames, givenNames, ingredient } = useHousehold(({ state, version }) => {
    const medicine = medicineOf(state, item.id);
    const limit = limitFor(medicine, person.id);
    const own = state.lotsOf(item.id);
    return {
      version,
      lots: own,
      guide: guideOf(state),
      unlocked: own.some(({ nookId }) => placePath(state, nookId)?.space?.locked === false),
      typedBy: limit?.typedById ? (state.get('person', limit.typedById)?.name ?? null) : null,
      alikeNames: [...new Set(sameIngredient(state, medicine).map(({ itemId }) => itemId))].flatMap(
        (id) => state.get('item', id)?.name ?? [],
      ),
      givenNames: [...new Set(now.alike.map(({ itemId }) => itemId))].flatMap((id) =>
        id === null ? [] : (state.get('item', id)?.name ?? []),
      ),
      ingredient: medicine?.ingredient ?? null,
    };
  });
  const first = oldestFirst(lots, item, guide)[0];
  const { limit, notBeforeMs } = now;
  const both = [...now.given, ...now.alike].sort((a, b) => (a.at < b.at ? 1 : -1));
  const cells = limit?.mostInDay ?? null;
  return (
    <YStack gap={8} paddingHorizontal={16} testID="by-the-package">
      <YStack>
        <Heading fontSize={20} lineHeight={26}>
          {item.name}
        </Heading>
        <Small>
          {[
            ingredient,
            first ? lotAmountWords(first, item) : 'none at home',
            first ? dueWords(first, item, day, guide) : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </Small>
        {unlocked ? (
          <Small color="$late" role="note">
            {NOT_LOCKED}
          </Small>
        ) : null}
      </YStack>
      {alikeNames.length > 0 ? (
        <Strong role="note">
          {now.alike.length > 0
            ? `An active ingredient of it was also given with ${givenNames.join(', ')} within 24 hours: counted with it.`
            : `An active ingredient of it is also in ${alikeNames.join(', ')}.`}
        </Strong>
      ) : null}
      {now.ahead.length > 0 ? (
        <Strong role="alert" color="$late">
          {`An entry stands at ${momentWords(now.ahead[0]!.at, nowMs)}, later than this phone’s clock shows: check both clocks.`}
        </Strong>
      ) : null}
      {now.twice === null ? null : (
        <Strong role="note" color="$late">
          {twiceWords(now.twice, nowMs)}
        </Strong>
      )}
      <XStack gap={8} alignItems="baseline" justifyContent="space-between" flexWrap="wrap">
        <Strong fontSize={18} lineHeight={24}>
          {limit === null
            ? 'Nothing was typed from the package'
            : notBeforeMs === null
              ? both.length === 0
                ? 'Nothing of it is in the log'
                : passedWords(limit)
              : `By the package: not before ${momentWords(new Date(notBeforeMs).toISOString(), nowMs)}`}
        </Strong>
        {notBeforeMs === null ? null : <Small>{`in ${spanOfMinutes(minutesUntil(notBeforeMs, nowMs))}`}</Small>}
      </XStack>
      <CareTimeline
        entries={both}
        leastHours={limit?.leastHours ?? null}
        nowMs={nowMs}
        notBeforeMs={notBeforeMs}
        width={width}
      />
      <XStack gap={8} alignItems="center" justifyContent="space-between">
        <Text>{inDayWords(now.inDay, cells)}</Text>
        {cells === null || cells > MOST_CELLS ? null : (
          <XStack gap={4} aria-hidden>
            {Array.from({ length: cells }, (_, at) => (
              <YStack
                key={at}
                width={26}
                height={18}
                borderRadius={4}
                borderWidth={2}
                borderColor="$color"
                backgroundColor={at < now.inDay ? '$color' : 'transparent'}
              />
            ))}
          </XStack>
        )}
      </XStack>
      <XStack gap={8} alignItems="center">
        <Small flex={1}>
          {limit === null ? 'It is not known here how often it may be given.' : typedWords(limit, typedBy, day)}
        </Small>
        <Button kind="quiet" label={limit === null ? 'Type it' : 'Change'} onPress={onChange} />
      </XStack>
    </YStack>
  );
}

/** What was given and measured, the newest first. */
function Log({ entries, nowMs }: { entries: readonly CareEntryRow[]; nowMs: number }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const [all, setAll] = useState(false);
  const [open, setOpen] = useState<string | null>(null);
  const names = useHousehold(({ state }) =>
    entries.map(({ itemId }) => (itemId === null ? '' : (state.get('item', itemId)?.name ?? ''))),
  );
  const shown = all ? entries : entries.slice(0, SHOWN);
  return (
    <YStack testID="care-log">
      <ListHeading title="Given" remark="one log for all phones" />
      {entries.length === 0 ? <Text padding={16}>Nothing was recorded yet.</Text> : null}
      {shown.map((entry, at) => (
        <YStack key={entry.id} backgroundColor="$background" borderBottomWidth={1} borderColor="$borderColor">
          <XStack paddingHorizontal={16} paddingVertical={10} gap={12} alignItems="center">
            <Mono width={96}>{momentWords(entry.at, nowMs)}</Mono>
            <YStack flex={1} minWidth={0}>
              <Strong>
                {[
                  entry.amount,
                  entry.temperatureTenthC === null
                    ? ''
                    : `${temperatureWords(entry.temperatureTenthC, unit)}${entry.itemId === null ? '' : ' before'}`,
                ]
                  .filter(Boolean)
                  .join(' · ') || 'given'}
              </Strong>
              {names[at] ? <Small>{names[at]}</Small> : null}
            </YStack>
            <Text>{entry.byName}</Text>
            <Button
              kind="quiet"
              label={open === entry.id ? 'Close' : '…'}
              onPress={() => setOpen(open === entry.id ? null : entry.id)}
            />
          </XStack>
          {open === entry.id ? (
            <XStack paddingHorizontal={16} paddingBottom={10} gap={8} alignItems="center">
              <Small flex={1}>Entered by mistake?</Small>
              <Button
                kind="danger"
                label="Take it out"
                onPress={() =>
                  void runCommand(
                    'care_removed',
                    [{ op: 'retire', entity: 'care_entry', id: entry.id }],
                    'Taken out of the log.',
                  )
                }
              />
            </XStack>
          ) : null}
        </YStack>
      ))}
      {entries.length > SHOWN ? (
        <XStack padding={8}>
          <Button
            kind="quiet"
            label={all ? 'Fewer' : `${entries.length - SHOWN} more`}
            onPress={() => setAll((now) => !now)}
          />
        </XStack>
      ) : null}
    </YStack>
  );
}
