import {
  guideOf,
  kitNow,
  loanOf,
  opsForFilling,
  opsForPacking,
  opsForSwapping,
  packedOf,
  placePath,
  type KitNow,
  type KitPartNow,
  type KitRow,
  type LoanRow,
} from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { OpenDoorView, useFront } from '@/features/drawing';
import { PrintListButton } from '@/features/labels';
import { LendDialog } from '@/features/stock';
import { amountOfWords, amountWords, outWords } from '@/features/stock/words';
import { Footer } from '@/kit/layout/Footer';
import { ListHeading } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { Basket, Check } from '@/kit/press/icons';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { Mark } from '@/kit/text/Mark';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { Small, Strong, Text } from '@/kit/text/Text';
import { usePalette } from '@/kit/theme/usePalette';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { useNextList } from '@/shared/useNextList';
import { useOwnPerson } from '@/shared/useOwnPerson';
import { useRunCommand } from '@/shared/useRunCommand';
import { BackWithKit } from './BackWithKit';
import { KitDialog } from './KitDialog';
import { bareAmount, haveWords, lookedWords, missingWords } from './words';

/** One kit: what is missing or ends soon, and from where it is filled. */
export function KitScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const kit = useHousehold(({ state }) => (id ? (state.get('kit', id) ?? null) : null));
  if (!kit || kit.retired) return <NotHere what="This kit" />;
  return <OneKit key={kit.id} kit={kit} />;
}

function OneKit({ kit }: { kit: KitRow }) {
  const day = today();
  const own = useOwnPerson();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const router = useRouter();
  const runCommand = useRunCommand();
  const [dialog, setDialog] = useState<'change' | 'out' | 'back' | null>(null);
  const { state, now, loan, looked, spaceId } = useHousehold((snapshot) => ({
    version: snapshot.version,
    state: snapshot.state,
    now: kitNow(snapshot.state, kit, day, guideOf(snapshot.state)),
    loan: loanOf(snapshot.state, kit.id),
    looked: kit.lookedById ? (snapshot.state.get('person', kit.lookedById)?.name ?? null) : null,
    spaceId: kit.nookId === null ? null : (placePath(snapshot.state, kit.nookId)?.space?.id ?? null),
  }));
  const front = useFront(spaceId);
  const open = now.parts.filter(({ missingThousandths }) => missingThousandths > 0);
  const ending = now.parts.filter(({ endsSoon }) => endsSoon);
  const complete = now.parts.filter((part) => part.missingThousandths === 0 && !part.endsSoon);
  const fillable = open.filter(({ fillFrom }) => fillFrom.length > 0);
  const fill = (parts: readonly KitPartNow[]): void =>
    void runCommand(
      'kit_filled',
      opsForFilling(state, now, parts, opContext()),
      parts.length === 1
        ? `Filled: ${parts[0]!.item.name}.`
        : counted(parts.length, { one: '# thing filled.', other: '# things filled.' }),
    );
  const nextList = useNextList();
  const drawing = front ? (
    <OpenDoorView
      view={front.view}
      width={gtMd ? 520 : content}
      maxHeight={gtMd ? 420 : 240}
      summaryOf={front.summaryOf}
      onPressNook={(nookId) => router.push(`/nook/${nookId}`)}
    />
  ) : null;
  const parts = (
    <YStack>
      {now.parts.length === 0 ? (
        <Text padding={16}>Nothing is said to belong to it yet: add it with “Change the kit …”.</Text>
      ) : null}
      {loan ? <Packing now={now} loan={loan} /> : null}
      <YStack testID="kit-parts">
        {open.map((part) => (
          <PartRow
            key={part.part.itemId}
            part={part}
            mark={<Mark kind="late" label={missingWords(part)} />}
            detail={haveWords(part)}
            source={part.fillFrom[0]?.lot.nookId ?? null}
            sourceWords={
              part.fillFrom.length > 0 && kit.nookId
                ? 'spare ones in'
                : nextList.has(part)
                  ? 'on the shopping list'
                  : 'none elsewhere at home'
            }
          >
            {part.fillFrom.length > 0 && kit.nookId ? (
              <Button
                label={`Fill ${bareAmount(
                  part.fillFrom.reduce((sum, { thousandths }) => sum + thousandths, 0),
                  part.item,
                )}`}
                onPress={() => fill([part])}
              />
            ) : nextList.has(part) ? null : (
              <Button
                iconOnly
                icon={Basket}
                label={`Put ${part.item.name} on the list`}
                onPress={() => nextList.put({ item: part.item, thousandths: part.missingThousandths })}
              />
            )}
          </PartRow>
        ))}
        {ending.map((part) => (
          <PartRow
            key={part.part.itemId}
            part={part}
            mark={<Mark kind="soon" label={dayWords(part.completeUntil!, day)} />}
            detail={`${amountWords(part.goodThousandths, part.item.unit)}, needs ${bareAmount(part.needThousandths, part.item)}`}
            source={part.swap?.into[0]?.lot.nookId ?? null}
            sourceWords={part.swap ? 'newer in' : 'no newer ones at home'}
          >
            {part.swap && kit.nookId ? (
              <Button
                label="Swap"
                onPress={() =>
                  void runCommand(
                    'kit_swapped',
                    opsForSwapping(state, now, part, opContext()),
                    `Newer ones into the kit: ${part.item.name}.`,
                  )
                }
              />
            ) : null}
          </PartRow>
        ))}
      </YStack>
    </YStack>
  );
  const whole = (
    <YStack>
      {complete.length > 0 ? (
        <>
          <ListHeading
            title="Complete and in date"
            remark={now.firstToEnd === null ? undefined : `first to end: ${dayWords(now.firstToEnd, day)}`}
          />
          <XStack flexWrap="wrap" padding={16} rowGap={12} backgroundColor="$background" testID="kit-complete">
            {complete.map((part) => (
              <CompletePart key={part.part.itemId} part={part} />
            ))}
          </XStack>
        </>
      ) : null}
    </YStack>
  );
  return (
    <Screen
      title={kit.name}
      back="/kits"
      right={kit.nookId ? <NookPlate nookId={kit.nookId} /> : undefined}
      footer={
        <Footer note={lookedWords(kit.lookedOn, looked, day)}>
          {fillable.length > 0 && kit.nookId ? (
            <Button
              grow
              kind="primary"
              label={counted(fillable.length, { one: 'Fill # thing', other: 'Fill # things' })}
              onPress={() => fill(fillable)}
            />
          ) : (
            <Button
              grow
              kind="primary"
              label="Looked through"
              onPress={() =>
                void runCommand(
                  'kit_looked_through',
                  [
                    {
                      op: 'change',
                      entity: 'kit',
                      id: kit.id,
                      fields: { lookedOn: day, lookedById: own },
                    },
                  ],
                  'Looked through today.',
                )
              }
            />
          )}
          {loan ? (
            <Button label="It is back …" onPress={() => setDialog('back')} />
          ) : (
            <Button label="Take it out …" onPress={() => setDialog('out')} />
          )}
        </Footer>
      }
    >
      {dialog === 'change' ? <KitDialog kit={kit} onClose={() => setDialog(null)} /> : null}
      {dialog === 'out' ? (
        <LendDialog what={{ whatId: kit.id, name: kit.name }} onClose={() => setDialog(null)} />
      ) : null}
      {dialog === 'back' && loan ? (
        <BackWithKit now={now} loan={loan} state={state} onClose={() => setDialog(null)} />
      ) : null}
      {loan ? (
        <YStack paddingHorizontal={16} paddingBottom={8} role="status">
          <Strong>{outWords(loan, day)}</Strong>
        </YStack>
      ) : null}
      <Figures now={now} />
      <TwoPane
        gap={0}
        left={parts}
        right={
          <>
            {drawing}
            {whole}
          </>
        }
        rightWidth={520}
        narrow={
          <>
            {drawing}
            {parts}
            {whole}
          </>
        }
      />
      <XStack padding={16} gap={8} flexWrap="wrap">
        <Button label="Change the kit …" onPress={() => setDialog('change')} />
        <PrintListButton
          file="kit.pdf"
          list={() => ({
            title: kit.name,
            sub: dayWords(day, ''),
            lines: now.parts.map(({ item, needThousandths, missingThousandths }) => ({
              words: amountOfWords(needThousandths, item),
              remark: missingThousandths > 0 ? `${amountWords(missingThousandths, item.unit)} missing` : '',
            })),
            foot: lookedWords(kit.lookedOn, looked, day),
          })}
        />
      </XStack>
    </Screen>
  );
}

/** How many things are complete, lack something, end soon. */
function Figures({ now }: { now: KitNow }) {
  const figures = [
    { value: now.complete, words: 'complete' },
    { value: now.missing, words: 'missing something' },
    { value: now.endsSoon, words: now.endsSoon === 1 ? 'ends soon' : 'end soon' },
  ];
  return (
    <XStack paddingHorizontal={16} paddingBottom={10} justifyContent="space-between" gap={8} testID="kit-figures">
      {figures.map(({ value, words }) => (
        <YStack key={words}>
          <Strong fontSize={24} lineHeight={30}>
            {value}
          </Strong>
          <Small>{words}</Small>
        </YStack>
      ))}
    </XStack>
  );
}

function PartRow({
  part,
  mark,
  detail,
  source,
  sourceWords,
  children,
}: {
  part: KitPartNow;
  mark: React.ReactNode;
  detail: string;
  source: string | null;
  sourceWords: string;
  children: React.ReactNode;
}) {
  return (
    <XStack
      paddingHorizontal={16}
      paddingVertical={10}
      gap={12}
      alignItems="center"
      backgroundColor="$background"
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <YStack flex={1} minWidth={0} gap={4}>
        <XStack gap={8} alignItems="center" flexWrap="wrap">
          <Strong>{part.item.name}</Strong>
          {mark}
        </XStack>
        <XStack gap={6} alignItems="center" flexWrap="wrap">
          <Small>{`${detail} · ${sourceWords}`}</Small>
          {source ? <NookPlate nookId={source} /> : null}
        </XStack>
      </YStack>
      {children}
    </XStack>
  );
}

function CompletePart({ part }: { part: KitPartNow }) {
  const palette = usePalette();
  return (
    <XStack width="50%" gap={8} alignItems="center" paddingRight={12}>
      <Check size={20} color={palette.green} strokeWidth={2} />
      <Text flex={1} minWidth={0} numberOfLines={2}>
        {part.item.name}
      </Text>
      <Strong>{bareAmount(part.needThousandths, part.item)}</Strong>
    </XStack>
  );
}

/** While it is out: what is packed, thing by thing. */
function Packing({ now, loan }: { now: KitNow; loan: LoanRow }) {
  const runCommand = useRunCommand();
  const own = useOwnPerson();
  const { state, packed } = useHousehold((snapshot) => ({
    version: snapshot.version,
    state: snapshot.state,
    packed: packedOf(snapshot.state, loan),
  }));
  const tick = (itemId: string): void =>
    void runCommand(
      'kit_packed',
      opsForPacking(state, loan, itemId, own, opContext()),
      packed.has(itemId) ? 'Not packed.' : 'Packed.',
    );
  return (
    <YStack testID="packing">
      <ListHeading
        title="Packed"
        remark={`${now.parts.filter(({ item }) => packed.has(item.id)).length} of ${now.parts.length}`}
      />
      {now.parts.map(({ item, needThousandths }) => (
        <XStack
          key={item.id}
          paddingHorizontal={16}
          paddingVertical={6}
          gap={12}
          alignItems="center"
          backgroundColor="$background"
          borderBottomWidth={1}
          borderColor="$borderColor"
        >
          <CheckSquare
            label={`${item.name} packed`}
            state={packed.has(item.id) ? 'ticked' : 'open'}
            onPress={() => tick(item.id)}
          />
          <Strong flex={1}>{amountOfWords(needThousandths, item)}</Strong>
        </XStack>
      ))}
    </YStack>
  );
}
