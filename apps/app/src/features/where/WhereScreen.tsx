import {
  againstPurpose,
  errandsOf,
  isOpen,
  leaveOf,
  opsForAccepting,
  opsForLeaving,
  mostHelpful,
  stepsOf,
  type HandlingHome,
  type MovesAnswer,
  type ProposedMove,
} from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { EmptyState } from '@/kit/layout/EmptyState';
import { Footer } from '@/kit/layout/Footer';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { PANE_GAP, TwoPane } from '@/kit/layout/TwoPane';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Small, Text, Title } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { HandlingDialog } from './HandlingDialog';
import { MoveRow } from './MoveRow';
import { ReachDialog } from './ReachDialog';
import { ReachWall, type WallMove } from './ReachWall';
import { useMoves } from './useMoves';
import { Figures, LargerOffer, Unguarded } from './WhereParts';
import { WaysDialog } from './WaysDialog';
import { howGoodWords, monthlyWords, movesWords, restsOnWords, usesWords } from './words';

const SIDE_WIDTH = 430;

/** Where things go: what stands where for those who use it, and the moves that pay for themselves. */
export function WhereScreen() {
  const params = useLocalSearchParams<{ space?: string; first?: string }>();
  const [spaceId, setSpaceId] = useState<string | null>(params.space ?? null);
  const moves = useMoves(spaceId);
  const first = Number(params.first ?? NaN);
  return moves ? (
    <Where
      home={moves.home}
      answer={moves.answer}
      spaceId={spaceId}
      onSpace={setSpaceId}
      first={Number.isInteger(first) && first > 0 ? first : null}
    />
  ) : (
    <Screen title="Where things go" back="/nooks">
      <Text padding={16} role="status">
        Reading the home …
      </Text>
    </Screen>
  );
}

function Where({
  home,
  answer,
  spaceId,
  onSpace,
  first,
}: {
  home: HandlingHome;
  answer: MovesAnswer;
  /** The one that may change; null: the whole home. */
  spaceId: string | null;
  onSpace: (spaceId: string | null) => void;
  /** As many as are asked for; null: all. */
  first: number | null;
}) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const { store } = useHouseholdContext();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const [personId, setPersonId] = useState<string | null>(null);
  // By what it carries where, not by its place in the list: the list changes while it is looked for.
  const [chosen, setChosen] = useState<string | null>(null);
  const [about, setAbout] = useState<string | null>(null);
  const [asking, setAsking] = useState<'reach' | 'ways' | null>(null);
  const { open, saidIds, left } = useHousehold(({ state, version }) => {
    const errands = errandsOf(state).filter((errand) => isOpen(state, errand));
    const subjects = new Set(errands.map(({ subjectId }) => subjectId));
    return { open: errands, saidIds: subjects, left: leaveOf(state.all('as_it_is'), home), version };
  });
  // What is on the walk list is not proposed a second time, nor what was just left as it is.
  const [all, setAll] = useState(false);
  const proposed = answer.moves.filter((move) => {
    const steps = stepsOf(home, move);
    const { subjectId, toNookId } = steps.at(-1)!;
    return steps.every((step) => !saidIds.has(step.subjectId)) && !left.has(`${subjectId} > ${toNookId}`);
  });
  const moves = first === null || all ? proposed : mostHelpful(proposed, first);
  const keys = moves.map((move) => keyOf(home, move));
  const at = moves.length === 0 ? -1 : Math.max(0, keys.indexOf(chosen ?? ''));
  const picked = moves[at] ?? null;
  const mainAt = picked === null || picked.lead === null ? -1 : (home.units[picked.lead]!.who[0]?.at ?? -1);
  const reacher =
    home.reachers.find((one) => one.personId === personId) ?? home.reachers[mainAt] ?? home.reachers[0] ?? null;
  const spaceIds = useMemo(
    () => [
      ...new Set([...spacesOf(home, picked), ...(gtMd ? answer.moves.flatMap((move) => spacesOf(home, move)) : [])]),
    ],
    [home, picked, gtMd, answer.moves],
  );
  const least = useMemo(() => spacesOf(home, picked).length, [home, picked]);
  const wall: WallMove[] = moves.flatMap((move, nth) => {
    const step = stepsOf(home, move).at(-1)!;
    const binId = move.stray ? move.stray.fromNookId : step.subjectId;
    return [{ number: nth + 1, binId, toShelfId: step.toNookId, chosen: nth === at }];
  });
  const saved = moves.reduce((sum, { savedMinutes }) => sum + savedMinutes, 0);
  const accept = (list: readonly ProposedMove[]): void =>
    void runCommand(
      'moves_accepted',
      opsForAccepting(store.state, home, list, opContext()),
      counted(list.length, { one: 'On the walk list.', other: '# moves are on the walk list.' }),
    );
  const leave = (move: ProposedMove): void =>
    void runCommand('move_left', opsForLeaving(home, move, opContext()), 'Left as it is; not proposed again.');
  const bin = useHousehold(({ state }) => (about === null ? null : (state.get('bin', about) ?? null)));
  const person = useHousehold(({ state }) => (reacher ? (state.get('person', reacher.personId) ?? null) : null));
  const spaces = useHousehold(({ state, version }) => ({
    version,
    of: [...new Set(home.shelves.map((shelf) => shelf.spaceId))].flatMap((id) => state.get('space', id) ?? []),
  })).of;
  const wallWidth = gtMd ? content - SIDE_WIDTH - PANE_GAP : content;
  const drawing = (
    <YStack>
      <YStack paddingHorizontal={16} paddingBottom={8}>
        <Choices
          label="What may change"
          hideLabel
          choices={[
            { value: WHOLE, label: 'Whole home' },
            ...spaces.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          value={spaceId ?? WHOLE}
          onChange={(value) => onSpace(value === WHOLE ? null : value)}
        />
      </YStack>
      <XStack paddingHorizontal={16} paddingBottom={8} gap={8} alignItems="center">
        <YStack flex={1} minWidth={0}>
          <Choices
            label="Whose reach"
            hideLabel
            choices={home.reachers.map((one) => ({ value: one.personId, label: one.name }))}
            value={reacher?.personId ?? null}
            onChange={setPersonId}
          />
        </YStack>
        {reacher ? <Button kind="quiet" label="Reach …" onPress={() => setAsking('reach')} /> : null}
      </XStack>
      {reacher && spaceIds.length > 0 ? (
        <ReachWall
          spaceIds={spaceIds}
          least={least}
          reacher={reacher}
          moves={wall}
          width={wallWidth}
          maxHeight={gtMd ? 430 : 300}
        />
      ) : null}
    </YStack>
  );
  const head = (
    <YStack paddingHorizontal={16} paddingVertical={10} gap={2}>
      <XStack justifyContent="space-between" alignItems="baseline" gap={10} flexWrap="wrap">
        <Title aria-level={2}>{movesWords(moves)}</Title>
        {saved > 0 ? <Text>saves {monthlyWords(saved)}</Text> : null}
      </XStack>
      <Small role="status">{howGoodWords(answer)}</Small>
      {moves.length < proposed.length ? (
        <XStack>
          <Button kind="quiet" label={`Show all ${proposed.length}`} onPress={() => setAll(true)} />
        </XStack>
      ) : null}
    </YStack>
  );
  const larger = answer.larger && first === null ? <LargerOffer larger={answer.larger} onAccept={accept} /> : null;
  const list =
    moves.length === 0 ? (
      <EmptyState
        text={
          answer.complete
            ? 'Nothing is worth carrying elsewhere, by what is known. Say how often things are taken and by whom, and it may be.'
            : 'Looking for what is worth carrying …'
        }
      />
    ) : (
      <LongList
        entries={moves.map((move, nth) => ({ move, number: nth + 1, step: stepsOf(home, move).at(-1)! }))}
        keyOf={({ step }) => step.subjectId}
        draw={({ move, number, step }) => (
          <MoveRow
            number={number}
            move={move}
            home={home}
            fromNookId={move.stray ? step.fromNookId : step.subjectId}
            toNookId={step.toNookId}
            chosen={number === at + 1}
            onChoose={(nth) => setChosen(keys[nth - 1] ?? null)}
            onAccept={(one) => accept([one])}
            onLeave={leave}
            onAbout={setAbout}
          />
        )}
      />
    );
  const against = useHousehold(({ state, version }) => ({
    version,
    of: state.all('shelf').flatMap((shelf) =>
      againstPurpose(state, shelf).map(({ lot, item }) => ({
        lotId: lot.id,
        name: item.name,
        shelfId: lot.nookId,
        words: shelf.purpose?.words ?? '',
      })),
    ),
  })).of;
  const guesses = home.units.flatMap((unit) => (unit.usesFrom === 'guess' && !unit.keptFree ? [unit] : []));
  const figures = <Figures home={home} answer={answer} />;
  const more = (
    <YStack>
      {home.unguarded.length > 0 ? <Unguarded home={home} /> : null}
      {against.length > 0 ? (
        <>
          <ListHeading title="Not what its shelf is for" remark={String(against.length)} />
          {against.slice(0, MOST_ASKED).map(({ lotId, name, shelfId, words }) => (
            <ListRow
              key={lotId}
              title={name}
              detail={`The shelf is for ${words}.`}
              onPress={() => router.push(`/nook/${shelfId}`)}
              right={<NookPlate nookId={shelfId} />}
            />
          ))}
        </>
      ) : null}
      {guesses.length > 0 ? (
        <>
          <ListHeading title="How often? Nobody said" remark={String(guesses.length)} />
          {guesses.slice(0, MOST_ASKED).map((unit) => (
            <ListRow
              key={unit.binId}
              title={unit.name}
              detail={usesWords(unit)}
              onPress={() => setAbout(unit.binId)}
              right={<NookPlate nookId={unit.binId} />}
            />
          ))}
        </>
      ) : null}
      <XStack paddingHorizontal={16} paddingTop={12} gap={8} flexWrap="wrap">
        <Button label="How far the rooms are" onPress={() => setAsking('ways')} />
      </XStack>
      <Small padding={16}>{restsOnWords(home)}</Small>
    </YStack>
  );
  const known = home.units.find(({ binId }) => binId === about);
  return (
    <Screen
      title="Where things go"
      back="/nooks"
      footer={
        moves.length > 0 || open.length > 0 ? (
          <Footer>
            {moves.length > 0 ? (
              <Button
                kind="primary"
                grow
                label={moves.length === 1 ? 'Accept it' : `Accept all ${moves.length}`}
                onPress={() => accept(moves)}
              />
            ) : null}
            {open.length > 0 ? (
              <Button
                kind={moves.length > 0 ? 'plain' : 'primary'}
                grow={moves.length === 0}
                label={`Walk list, ${open.length}`}
                onPress={() => router.push('/where/walk')}
              />
            ) : null}
          </Footer>
        ) : undefined
      }
    >
      <TwoPane
        gap={0}
        rightWidth={SIDE_WIDTH}
        left={
          <>
            {drawing}
            {figures}
            {more}
          </>
        }
        right={
          <>
            {head}
            {list}
            {larger}
          </>
        }
        narrow={
          <>
            {drawing}
            {head}
            {list}
            {larger}
            {figures}
            {more}
          </>
        }
      />
      {bin && known ? <HandlingDialog bin={bin} known={usesWords(known)} onClose={() => setAbout(null)} /> : null}
      {asking === 'reach' && person ? <ReachDialog person={person} onClose={() => setAsking(null)} /> : null}
      {asking === 'ways' ? <WaysDialog onClose={() => setAsking(null)} /> : null}
    </Screen>
  );
}

const MOST_ASKED = 6;

/** What a move carries, and where to. */
const keyOf = (home: HandlingHome, move: ProposedMove): string => {
  const { subjectId, toNookId } = stepsOf(home, move).at(-1)!;
  return `${subjectId} > ${toNookId}`;
};
const WHOLE = 'whole';

/** The space a move begins in, and the one it ends in. */
function spacesOf(home: HandlingHome, move: ProposedMove | null): readonly string[] {
  const shelfOf = (unit: number | null): string | null =>
    unit === null ? null : home.shelves[home.units[unit]!.origin]!.spaceId;
  if (!move) {
    const [first] = home.shelves;
    return first ? [first.spaceId] : [];
  }
  const carry = move.carries.at(-1);
  const from = move.stray ? shelfOf(move.stray.fromUnit) : home.shelves[carry!.from]!.spaceId;
  const to = move.stray ? shelfOf(move.stray.toUnit) : home.shelves[carry!.to]!.spaceId;
  if (from === null) return to === null ? [] : [to];
  return to === null || to === from ? [from] : [from, to];
}
