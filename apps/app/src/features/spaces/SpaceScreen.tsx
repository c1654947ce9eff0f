import { formatLength, labelledIn, type DrawnShelf } from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView, useMedia, XStack, YStack } from 'tamagui';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { rememberNook } from '@/shared/recent';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Pencil, ZoomIn, ZoomOut } from '@/kit/press/icons';
import { NotHere } from '@/kit/layout/NotHere';
import { Plate } from '@/kit/text/Plate';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Small, Text } from '@/kit/text/Text';
import { LooksDialog } from '@/features/looks';
import { PhotoStrip } from '@/features/pictures';
import { Wishes } from '@/features/wishes';
import { ChestPlan, DrawingDialog, OpenDoorView, useFront, wholeSummary, type Front } from '@/features/drawing';
import { summaryWords } from '@/features/drawing/words';
import { NookPanel } from './NookPanel';
import { SpaceContents } from './SpaceContents';
import { SpaceEditor } from './SpaceEditor';
import { CAUTIONS } from './words';

const COLD_KINDS: ReadonlySet<string> = new Set(['chest_freezer', 'upright_freezer', 'refrigerator']);

type Showing = 'names' | 'measures' | 'baskets' | 'bins';
const ZOOMS = [1, 1.6, 2.4];

/** A space with its doors open. */
export function SpaceScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const front = useFront(id);
  useEffect(() => {
    if (id) rememberNook(id);
  }, [id]);
  if (!front) {
    return <NotHere what="This place" />;
  }
  return <OpenSpace key={id} front={front} />;
}

function OpenSpace({ front }: { front: Front }) {
  const { space } = front;
  const router = useRouter();
  const { gtMd } = useMedia();
  const [selected, setSelected] = useState<string | null>(null);
  const { edit } = useLocalSearchParams<{ edit?: string }>();
  const [editing, setEditing] = useState(edit === '1');
  const [showing, setShowing] = useState(false);
  const [saving, setSaving] = useState(false);
  const room = useHousehold(({ state }) => state.get('room', space.roomId)?.name ?? '');
  const empty = front.view.shelves.length + front.view.doorShelves.length === 0;
  const chosen = useHousehold(({ state }) =>
    selected !== null && state.nook(selected)?.row.retired === false ? selected : null,
  );
  const select = (nookId: string): void => (nookId === selected ? router.push(`/nook/${nookId}`) : setSelected(nookId));
  const drawing = <Drawing front={front} selected={chosen} onPress={select} />;
  const panel = chosen ? (
    <NookPanel nookId={chosen} onGone={() => setSelected(null)} onClose={() => setSelected(null)} />
  ) : null;
  // Places without a label are not nagged about: labels come last.
  const toRenew = useHousehold(
    ({ state }) => labelledIn(state, space.id).filter(({ since }) => since === 'words' || since === 'contents').length,
  );
  const caution = CAUTIONS[space.kind];
  const isCold = COLD_KINDS.has(space.kind);
  const side = (
    <YStack gap={12}>
      {gtMd ? panel : null}
      {isCold ? (
        <YStack paddingHorizontal={gtMd ? 0 : 16}>
          <XStack gap={8} flexWrap="wrap">
            {space.kind === 'refrigerator' ? null : (
              <Button label="What is frozen" onPress={() => router.push(`/space/${space.id}/frozen`)} />
            )}
            <Button label="It was without cold …" onPress={() => router.push(`/space/${space.id}/outage`)} />
          </XStack>
        </YStack>
      ) : null}
      {editing || empty ? (
        <SpaceEditor spaceId={space.id} />
      ) : (
        <SpaceContents spaceId={space.id} selected={chosen} onPick={setSelected} />
      )}
      {editing || empty ? null : (
        <XStack paddingHorizontal={gtMd ? 0 : 16} gap={8} flexWrap="wrap">
          <Button label="Tour" onPress={() => router.push(`/space/${space.id}/tour` as never)} />
          <Button
            label={toRenew > 0 ? `Labels, ${toRenew} to renew` : 'Labels'}
            onPress={() => router.push(`/space/${space.id}/labels`)}
          />
          <Button label="Drawing as a file …" onPress={() => setSaving(true)} />
          <Button label="Show to a helper …" onPress={() => setShowing(true)} />
        </XStack>
      )}
      {editing || empty ? null : (
        <>
          <PhotoStrip ofId={space.id} name={space.name} />
          <Wishes nookId={space.id} />
        </>
      )}
      {space.note ? <Text paddingHorizontal={16}>{space.note}</Text> : null}
      {caution ? <Small paddingHorizontal={16}>{caution}</Small> : null}
    </YStack>
  );
  return (
    <Screen
      title={space.name}
      sub={room}
      back="/nooks"
      footer={gtMd ? undefined : panel}
      right={
        <>
          {editing ? null : (
            <Button
              kind={gtMd ? 'primary' : 'plain'}
              label="Plan"
              onPress={() => router.push(`/space/${space.id}/mix`)}
            />
          )}
          <Button
            iconOnly={!gtMd && !editing}
            icon={Pencil}
            label={editing ? 'Done' : 'Change'}
            selected={editing}
            onPress={() => setEditing((now) => !now)}
          />
        </>
      }
    >
      {saving ? <DrawingDialog spaceId={space.id} onClose={() => setSaving(false)} /> : null}
      {showing ? (
        <LooksDialog what="space" spaceId={space.id} name={space.name} onClose={() => setShowing(false)} />
      ) : null}
      <TwoPane
        left={drawing}
        right={side}
        rightWidth={390}
        narrow={
          <>
            {drawing}
            {side}
          </>
        }
      />
    </Screen>
  );
}

function Drawing({
  front,
  selected,
  onPress,
}: {
  front: Front;
  selected: string | null;
  onPress: (id: string) => void;
}) {
  const [showing, setShowing] = useState<Showing>('names');
  const [zoom, setZoom] = useState(0);
  const { me } = useHouseholdContext();
  const unit = useHousehold(({ state }) => state.get('household', me.householdId)?.lengthUnit ?? 'metric');
  const content = useContentWidth();
  const { gtMd } = useMedia();
  const width = gtMd ? content - 390 - 16 : content;
  const factor = ZOOMS[zoom] ?? 1;
  const isChest = front.space.kind === 'chest_freezer';
  const layer =
    showing === 'baskets'
      ? (drawn: DrawnShelf) => drawn.shelf.kind === 'hanging_basket'
      : showing === 'bins'
        ? (drawn: DrawnShelf) => drawn.shelf.kind !== 'hanging_basket'
        : undefined;
  const choices: { value: Showing; label: string }[] = isChest
    ? [
        { value: 'names', label: 'All' },
        { value: 'baskets', label: 'Baskets' },
        { value: 'bins', label: 'Below' },
        { value: 'measures', label: 'Measures' },
      ]
    : [
        { value: 'names', label: 'What is in' },
        { value: 'measures', label: 'Measures' },
      ];
  const view = {
    ...front.view,
    shelves: front.view.shelves.filter((drawn) => showing !== 'bins' || layer === undefined || layer(drawn)),
  };
  return (
    <YStack gap={6}>
      <XStack paddingHorizontal={16} gap={10} alignItems="center">
        <Plate code={front.space.code} />
        <Small flex={1} minWidth={0}>
          {summaryWords(wholeSummary(front))}
          {front.space.locked ? ' · locked' : ''}
        </Small>
        <Button
          iconOnly
          icon={zoom === ZOOMS.length - 1 ? ZoomOut : ZoomIn}
          label={zoom === ZOOMS.length - 1 ? 'Whole drawing' : 'Larger drawing'}
          onPress={() => setZoom((now) => (now + 1) % ZOOMS.length)}
        />
      </XStack>
      <YStack paddingHorizontal={16}>
        <Choices label="What the drawing shows" hideLabel choices={choices} value={showing} onChange={setShowing} />
      </YStack>
      <ScrollView horizontal showsHorizontalScrollIndicator={zoom > 0}>
        <OpenDoorView
          view={view}
          width={Math.max(200, width - 8) * factor}
          maxHeight={(gtMd ? 600 : 470) * factor}
          selectedId={selected}
          summaryOf={front.summaryOf}
          onPressNook={onPress}
          measures={showing === 'measures' ? unit : null}
          {...(layer ? { layer } : {})}
        />
      </ScrollView>
      {isChest && showing !== 'measures' ? (
        <ChestPlan view={front.view} depthTenthMm={front.space.depthTenthMm} width={width} />
      ) : null}
      {front.view.assumed ? (
        <Small paddingHorizontal={16}>Drawn in even shares where nothing was measured yet.</Small>
      ) : null}
      {showing === 'measures' ? <MeasureWords front={front} unit={unit} /> : null}
    </YStack>
  );
}

function MeasureWords({ front, unit }: { front: Front; unit: 'metric' | 'inch' }) {
  const { widthTenthMm, heightTenthMm, depthTenthMm } = front.space;
  const words = [
    ['wide', widthTenthMm],
    ['high', heightTenthMm],
    ['deep', depthTenthMm],
  ] as const;
  const known = words
    .filter(([, value]) => value !== null)
    .map(([name, value]) => `${formatLength(value!, unit)} ${name}`);
  const other = unit === 'metric' ? 'inch' : 'metric';
  const inOther = words.filter(([, value]) => value !== null).map(([, value]) => formatLength(value!, other));
  if (known.length === 0) return null;
  return (
    <Small paddingHorizontal={16}>
      {known.join(' · ')} ({inOther.join(' × ')})
    </Small>
  );
}
