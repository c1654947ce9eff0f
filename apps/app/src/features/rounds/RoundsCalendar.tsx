import { addDays, dueDays, weekday, type CivilDate, type RoundNow } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { pressable } from '@/kit/press/pressable';
import { longWeekdayWords, weekdayWords } from '@/kit/text/dayWords';
import { Small, Strong } from '@/kit/text/Text';
import { monthWords, turnTitle } from './words';

const WEEK = 7;
const WEEKS = 6;
const MONDAY = 1;
const CELL = 66;
const SHOWN = 2;
/** A Monday: the names of the weekdays are counted from it. */
const A_MONDAY: CivilDate = '2026-01-05';

/** The first day of a month so many months away. */
function monthFrom(day: CivilDate, by: number): CivilDate {
  const month = Number(day.slice(0, 4)) * 12 + Number(day.slice(5, 7)) - 1 + by;
  return `${Math.floor(month / 12)}-${String((month % 12) + 1).padStart(2, '0')}-01`;
}

/** What falls on the days of a month: done, missed, due and ahead. A round that was moved stands on its new day. */
function turnsOn(rounds: readonly RoundNow[], from: CivilDate, to: CivilDate): Map<CivilDate, RoundNow[]> {
  const on = new Map<CivilDate, RoundNow[]>();
  const put = (day: CivilDate, now: RoundNow): void => {
    const there = on.get(day) ?? [];
    if (!there.includes(now)) on.set(day, [...there, now]);
  };
  for (const now of rounds) {
    const { round, strip, last } = now;
    const known = new Set(strip.map(({ dueOn }) => dueOn));
    for (const turn of strip) if (turn.on >= from && turn.on <= to) put(turn.on, now);
    for (const day of dueDays(round.rhythm, round.startsOn, last?.on ?? null, from, to))
      if (!known.has(day)) put(day, now);
  }
  return on;
}

/** A month of rounds, for the wide screen. */
export function RoundsCalendar({ rounds, today }: { rounds: readonly RoundNow[]; today: CivilDate }) {
  const router = useRouter();
  const [by, setBy] = useState(0);
  const first = monthFrom(today, by);
  const from = addDays(first, -((weekday(first) - MONDAY + WEEK) % WEEK));
  const days = Array.from({ length: WEEK * WEEKS }, (_, at) => addDays(from, at));
  const turns = turnsOn(rounds, from, days.at(-1)!);
  return (
    <YStack gap={6} padding={12} testID="rounds-calendar" role="group" aria-label={monthWords(first)}>
      <XStack alignItems="center" gap={8}>
        <Strong flex={1} fontSize={18} lineHeight={24} role="heading" aria-level={2}>
          {monthWords(first)}
        </Strong>
        <Button label="Before" onPress={() => setBy(by - 1)} />
        <Button label="This month" disabled={by === 0} onPress={() => setBy(0)} />
        <Button label="After" onPress={() => setBy(by + 1)} />
      </XStack>
      <XStack>
        {Array.from({ length: WEEK }, (_, at) => (
          <Small key={at} flex={1} textAlign="center" aria-label={longWeekdayWords(addDays(A_MONDAY, at))}>
            {weekdayWords(addDays(A_MONDAY, at))}
          </Small>
        ))}
      </XStack>
      {Array.from({ length: WEEKS }, (_, week) => days.slice(week * WEEK, (week + 1) * WEEK))
        .filter((row) => row.some((day) => day.slice(0, 7) === first.slice(0, 7)))
        .map((row) => (
          <XStack key={row[0]} gap={4} marginBottom={4}>
            {row.map((day) => {
              const own = turns.get(day) ?? [];
              const inMonth = day.slice(0, 7) === first.slice(0, 7);
              return (
                <YStack
                  key={day}
                  flex={1}
                  flexBasis={0}
                  minWidth={0}
                  minHeight={CELL}
                  padding={4}
                  gap={2}
                  borderRadius={6}
                  borderWidth={day === today ? 2 : 1}
                  borderColor={day === today ? '$green' : '$borderColor'}
                  backgroundColor={inMonth ? '$background' : 'transparent'}
                >
                  <Small color={day === today ? '$green' : '$second'}>{Number(day.slice(8))}</Small>
                  {own.slice(0, SHOWN).map((now) => (
                    <Small
                      key={now.round.id}
                      {...pressable({ onPress: () => router.push(`/round/${now.round.id}` as never), role: 'link' })}
                      aria-label={turnTitle(now, day, today)}
                      numberOfLines={2}
                      minHeight={24}
                      paddingVertical={3}
                      fontSize={13}
                      lineHeight={18}
                      color={stateOf(now, day) === 'missed' ? '$late' : '$color'}
                    >
                      {`${stateOf(now, day) === 'done' ? '✓ ' : ''}${now.round.name}`}
                    </Small>
                  ))}
                  {own.length > SHOWN ? (
                    <Small fontSize={13} lineHeight={18}>{`and ${own.length - SHOWN}`}</Small>
                  ) : null}
                </YStack>
              );
            })}
          </XStack>
        ))}
    </YStack>
  );
}

const stateOf = (now: RoundNow, day: CivilDate) => now.strip.find(({ on }) => on === day)?.state ?? 'ahead';
