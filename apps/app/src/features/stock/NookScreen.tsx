import { guideOf, loanOfNook, stockOf, type HouseholdState } from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { rememberNook } from '@/shared/recent';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Button } from '@/kit/press/Button';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Plate } from '@/kit/text/Plate';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Small, Strong, Text } from '@/kit/text/Text';
import { PhotoStrip } from '@/features/pictures';
import { AddBins, NookPanel } from '@/features/spaces';
import { CHEMICAL_CAUTION, levelWords, namesWords } from '@/features/spaces/words';
import { OpenDoorView, useFront } from '@/features/drawing';
import { wayTo } from '@/shared/placeWords';
import { LendDialog } from './LendDialog';
import { LevelDialog } from './LevelDialog';
import { inUseOrder, LotList, type ListedLot } from './LotList';
import { useBringBack } from './useBringBack';
import { outWords } from './words';

function listLots(state: HouseholdState, nookId: string): ListedLot[] {
  return state.lotsIn(nookId).flatMap((lot) => {
    const item = state.get('item', lot.itemId);
    if (!item) return [];
    return [
      { lot, item, low: item.lowAtThousandths !== null && stockOf(state).onHand(item.id) <= item.lowAtThousandths },
    ];
  });
}

/** Inside one bin, shelf or space: what is there, how many, until when. */
export function NookScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const [more, setMore] = useState(false);
  const [levelling, setLevelling] = useState(false);
  const [lending, setLending] = useState(false);
  const { bringBack, dialog: backDialog } = useBringBack();
  const loan = useHousehold(({ state }) => (id ? loanOfNook(state, id) : null));
  const found = useHousehold(({ state }) => {
    const nook = id ? state.nook(id) : undefined;
    const path = id ? wayTo(state, id) : null;
    if (!nook || nook.row.retired || !path) return null;
    return {
      nook,
      path,
      lots: inUseOrder(listLots(state, nook.row.id), guideOf(state)),
      inner: state.binsIn(nook.row.id),
    };
  });
  const spaceId = found?.path.space?.id ?? null;
  const open = useCallback((to: string) => router.push(`/nook/${to}`), [router]);
  const front = useFront(spaceId);
  useEffect(() => {
    if (id) rememberNook(id);
    if (spaceId) rememberNook(spaceId);
  }, [id, spaceId]);

  if (!found || !id) {
    return <NotHere what="This place" />;
  }
  const { nook, path, lots, inner } = found;
  const name = nook.row.name || (path.steps.at(-1) ?? '');
  const chemical = lots.some(({ item }) => item.tags.includes('chemical'));
  const litId = path.bins[0]?.id ?? path.shelf?.id ?? null;
  const drawing = front ? (
    <OpenDoorView
      view={front.view}
      width={gtMd ? 460 : content}
      maxHeight={gtMd ? 420 : 290}
      hereId={litId}
      names={false}
      summaryOf={front.summaryOf}
      onPressNook={open}
    />
  ) : null;
  const list = (
    <YStack>
      <ListHeading
        title={lots.length === 0 ? 'Nothing in it' : 'In it'}
        remark={lots.length === 0 ? undefined : 'oldest first'}
      />
      {lots.length === 0 ? (
        <Text padding={16}>
          {inner.length > 0 ? 'Everything is in the bins inside it.' : 'Record what is there, line after line.'}
        </Text>
      ) : (
        <LotList lots={lots} />
      )}
      {inner.length > 0 ? (
        <>
          <ListHeading title={nook.kind === 'bin' ? 'Bins inside it' : 'Bins on it'} />
          {inner.map((bin) => (
            <ListRow
              key={bin.id}
              title={bin.name}
              detail={namesWords(front?.summaryOf(bin.id).itemNames ?? [])}
              onPress={() => router.push(`/nook/${bin.id}`)}
              right={<Plate code={bin.code} />}
            />
          ))}
        </>
      ) : null}
      {chemical ? (
        <Small padding={16} color="$late">
          {CHEMICAL_CAUTION}
        </Small>
      ) : null}
    </YStack>
  );
  return (
    <Screen title={name} back={spaceId ? `/space/${spaceId}` : '/nooks'}>
      <XStack paddingHorizontal={16} paddingBottom={8} gap={10} alignItems="center">
        <Plate code={nook.row.code} large />
        <Strong flex={1} fontSize={15} lineHeight={20}>
          {path.steps.slice(0, nook.kind === 'bin' ? 3 : 2).join(' › ')}
        </Strong>
      </XStack>
      <XStack paddingHorizontal={16} paddingBottom={10} gap={8}>
        <Button kind="primary" grow label="Record here" onPress={() => router.push(`/record?nook=${id}`)} />
        {nook.kind === 'bin' ? <Button label="Level" onPress={() => setLevelling(true)} /> : null}
        {spaceId ? <Button label="Doors" onPress={() => router.push(`/space/${spaceId}`)} /> : null}
        <Button label={more ? 'Less' : 'More'} selected={more} onPress={() => setMore((now) => !now)} />
      </XStack>
      {nook.kind === 'bin' && nook.row.level ? (
        <Small paddingHorizontal={16} paddingBottom={8}>
          {levelWords(nook.row.level, today())}
        </Small>
      ) : null}
      {nook.kind === 'bin' && levelling ? <LevelDialog bin={nook.row} onClose={() => setLevelling(false)} /> : null}
      {loan ? (
        <XStack paddingHorizontal={16} paddingBottom={8} gap={8} alignItems="center" role="status">
          <YStack flex={1} minWidth={0}>
            <Strong>{outWords(loan, today())}</Strong>
            <Small>{loan.whatId === id ? 'its place is kept' : `with ${loan.what}`}</Small>
          </YStack>
          <Button label="It is back" onPress={() => bringBack(loan)} />
        </XStack>
      ) : null}
      {backDialog}
      {lending ? <LendDialog what={{ whatId: id, name }} onClose={() => setLending(false)} /> : null}
      {more ? (
        <YStack>
          {loan || nook.kind !== 'bin' ? null : (
            <XStack paddingHorizontal={16} paddingBottom={8}>
              <Button label="Lend it, take it out …" onPress={() => setLending(true)} />
            </XStack>
          )}
          <NookPanel nookId={id} onGone={() => router.replace(spaceId ? `/space/${spaceId}` : '/nooks')} />
          {nook.kind === 'space' ? null : (
            <YStack padding={16}>
              <AddBins parentId={id} />
            </YStack>
          )}
        </YStack>
      ) : null}
      <TwoPane
        gap={0}
        left={list}
        right={drawing}
        rightWidth={460}
        narrow={
          <>
            {drawing}
            {list}
          </>
        }
      />
      <PhotoStrip ofId={id} name={name} />
    </Screen>
  );
}
