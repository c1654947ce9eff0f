import {
  addDays,
  boxFrom,
  boxWeek,
  guideOf,
  opsForFillingBox,
  PILL_TIMES,
  pillsAt,
  type BoxWeek,
  type PersonRow,
  type PillTime,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { amountOfWords } from '@/features/stock/words';
import { Choices } from '@/kit/form/Choices';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Mark } from '@/kit/text/Mark';
import { spanWords, weekdayAndDay } from '@/kit/text/dayWords';
import { Mono, Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useNextList } from '@/shared/useNextList';
import { useOwnPerson } from '@/shared/useOwnPerson';
import { useRunCommand } from '@/shared/useRunCommand';
import { CARE_CAUTION_MORE, fractionWords, PILL_TIME_WORDS, shortOfWords } from './words';

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** A pill box for a week: what goes into which section, and what of it is at home. Filled, it leaves the stock. */
export function PillBoxDialog({ person, onClose }: { person: PersonRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const byId = useOwnPerson();
  const nextList = useNextList();
  const day = today();
  const first = useHousehold(({ state }) => boxFrom(state, person.id, day));
  const [fromToday, setFromToday] = useState(false);
  const fromOn = first === day && !fromToday ? addDays(day, 1) : first;
  const { state, week } = useHousehold((snapshot) => ({
    version: snapshot.version,
    state: snapshot.state,
    week: boxWeek(snapshot.state, person.id, fromOn, guideOf(snapshot.state)),
  }));
  const [filled, setFilled] = useState<string | null>(null);
  const span = spanWords(week.days[0]!, week.days.at(-1)!, day);
  const fill = (): void => {
    setFilled(span);
    void runCommand(
      'pill_box_filled',
      opsForFillingBox(state, person.id, week, byId, opContext()),
      `Filled for ${person.name}: ${span}.`,
    );
  };
  if (filled !== null)
    return (
      <Dialog title={`${person.name}’s pill box`} open onClose={onClose}>
        <Strong role="status">{`Filled for ${filled}: what went into it has left the stock.`}</Strong>
        <Button kind="primary" label="Close" onPress={onClose} />
      </Dialog>
    );
  const short = week.parts.filter((part) => part.haveThousandths < part.needThousandths);
  return (
    <Dialog title={`${person.name}’s pill box`} open onClose={onClose}>
      {first === day ? (
        <Choices
          label="For seven days from"
          choices={[
            { value: 'tomorrow', label: 'Tomorrow' },
            { value: 'today', label: 'Today' },
          ]}
          value={fromToday ? 'today' : 'tomorrow'}
          onChange={(chosen) => setFromToday(chosen === 'today')}
        />
      ) : (
        <Text>{`Filled up to ${weekdayAndDay(addDays(first, -1), day)}. Next: ${span}.`}</Text>
      )}
      <YStack gap={8}>
        {week.parts.map((part, at) => (
          <XStack key={part.item.id} gap={10} alignItems="center">
            <Mono width={20}>{LETTERS[at] ?? ''}</Mono>
            <YStack flex={1} minWidth={0}>
              <Strong>{amountOfWords(part.needThousandths, part.item)}</Strong>
              {part.haveThousandths < part.needThousandths ? (
                <Small>{shortOfWords(part, week.days.at(-1)!, day)}</Small>
              ) : null}
            </YStack>
            {part.haveThousandths >= part.needThousandths ? null : nextList.has({ item: part.item }) ? (
              <Small>on the list</Small>
            ) : (
              <Button label="On the list" onPress={() => nextList.put({ item: part.item })} />
            )}
          </XStack>
        ))}
      </YStack>
      <Sections week={week} />
      <Small>{CARE_CAUTION_MORE}</Small>
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label={short.length > 0 ? 'Filled, with what is there' : 'Filled'}
          disabled={week.parts.every(({ haveThousandths }) => haveThousandths === 0)}
          onPress={fill}
        />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

/** The box as one looks at it: a row for each day, a section for each time at which anything goes in. */
function Sections({ week }: { week: BoxWeek }) {
  const day = today();
  const times = PILL_TIMES.filter((time) => week.parts.some(({ typed }) => typed[time] > 0));
  const inSection = (on: string, time: PillTime): string =>
    week.parts
      .flatMap(({ typed }, at) => {
        const amount = pillsAt(typed, on, time);
        return amount === 0 ? [] : [`${fractionWords(amount)} ${LETTERS[at] ?? ''}`.trim()];
      })
      .join('  ');
  return (
    <YStack gap={4} testID="pill-box" role="table" aria-label="What goes into which section">
      <XStack gap={4} role="row">
        <YStack width={78} role="columnheader">
          <Small>Day</Small>
        </YStack>
        {times.map((time) => (
          <YStack key={time} flex={1} role="columnheader">
            <Small>{PILL_TIME_WORDS[time]}</Small>
          </YStack>
        ))}
      </XStack>
      {week.days.map((on) => (
        <XStack key={on} gap={4} alignItems="stretch" role="row">
          <YStack width={78} justifyContent="center" role="rowheader">
            <Small color="$color">{weekdayAndDay(on, day)}</Small>
          </YStack>
          {times.map((time) => (
            <YStack
              key={time}
              flex={1}
              minHeight={34}
              paddingHorizontal={6}
              justifyContent="center"
              borderWidth={1}
              borderColor="$color"
              borderRadius={6}
              backgroundColor="$background"
              role="cell"
            >
              <Mono>{inSection(on, time) || '–'}</Mono>
            </YStack>
          ))}
        </XStack>
      ))}
      {week.parts.some((part) => part.haveThousandths < part.needThousandths) ? (
        <XStack>
          <Mark kind="late" label="not enough at home for all of it" />
        </XStack>
      ) : null}
    </YStack>
  );
}
