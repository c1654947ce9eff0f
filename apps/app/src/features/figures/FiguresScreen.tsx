import { countsAgainst, thrownByMonth, unitPrices, worthBy } from '@ours/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { api } from '@/data/api/api';
import { costWords } from '@/features/restock/words';
import { Bars } from '@/kit/chart/Bars';
import { Card } from '@/kit/layout/Card';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { Heading, Small, Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { useHome } from '@/shared/useHome';
import { InsuranceDialog } from './InsuranceDialog';
import { gapWords, monthWords, thrownRemark, unpricedWords, worthSum } from './words';

const MOST = 10;
const CARD_WIDTH = 500;

/** What the home is worth, what was thrown away, what was opened and moved, and what counts found. */
export function FiguresScreen() {
  const { me, store } = useHouseholdContext();
  const { currency } = useHome();
  const content = useContentWidth();
  const day = today();
  const [insuring, setInsuring] = useState(false);
  const version = useHousehold((snapshot) => snapshot.version);
  const { data, isError, isFetching, refetch } = useQuery({
    queryKey: ['figures', me.householdId],
    queryFn: () => api('GET /figures', { about: me }),
    retry: 0,
    refetchOnMount: 'always',
  });
  const { rooms, categories, counts, prices, sum } = useMemo(() => {
    const { state } = store;
    const byRoom = worthBy(state, 'room');
    return {
      rooms: byRoom,
      categories: worthBy(state, 'category'),
      counts: countsAgainst(state, day),
      prices: unitPrices(state),
      sum: worthSum(byRoom),
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the state is changed in place, the version says so
  }, [store, version, day]);
  const width = Math.min(CARD_WIDTH, content - 32) - 32;
  const money = (minor: number): string => costWords(minor, currency);
  const nameOf = (spaceId: string): string => store.state.get('space', spaceId)?.name ?? 'a space that is gone';
  const months = data ? thrownByMonth(data.thrown, prices, day) : [];
  const history = (title: string, drawn: () => ReactNode) => (
    <Figure title={title}>
      {data ? (
        drawn()
      ) : (
        <YStack gap={8} alignItems="flex-start" role={isError ? 'alert' : 'status'}>
          <Small>
            {isError ? 'This is worked out from the history on the server, and that needs a signal.' : 'Reading …'}
          </Small>
          {isError ? <Button label="Try again" disabled={isFetching} onPress={() => void refetch()} /> : null}
        </YStack>
      )}
    </Figure>
  );
  return (
    <Screen title="Figures" back="/restock">
      <XStack paddingHorizontal={16}>
        <Button label="A list for insurers …" onPress={() => setInsuring(true)} />
      </XStack>
      <XStack flexWrap="wrap" gap={16} padding={16} alignItems="flex-start">
        <Figure title="Worth, by room">
          <Text>
            {`${money(sum.minor)} to buy again at the prices noted. ${unpricedWords(sum.unpriced) ?? 'Everything there has a price'}.`}
          </Text>
          <Bars
            label="Worth by room"
            width={width}
            bars={rooms.map(({ name, minor, unpriced }) => ({
              key: name,
              label: name || 'No room',
              value: minor,
              figure: money(minor),
              remark: unpricedWords(unpriced),
            }))}
          />
        </Figure>
        <Figure title="Worth, by category">
          <Bars
            label="Worth by category"
            width={width}
            bars={categories.slice(0, MOST).map(({ name, minor, unpriced }) => ({
              key: name,
              label: name || 'No category',
              value: minor,
              figure: money(minor),
              remark: unpricedWords(unpriced),
            }))}
          />
          {categories.length > MOST ? (
            <Small>
              {`${counted(categories.length - MOST, { one: '# more category', other: '# more categories' })}: ${money(
                worthSum(categories.slice(MOST)).minor,
              )}`}
            </Small>
          ) : null}
        </Figure>
        {history('Thrown away, by month', () => (
          <>
            <Small>Ended, spoiled, broken or let go; not what was given away. At today’s prices.</Small>
            <Bars
              label="Thrown away by month"
              width={width}
              bars={months.map((month) => ({
                key: month.month,
                label: monthWords(month.month),
                value: month.minor,
                figure: month.things > 0 && month.things === month.unpriced ? 'no price' : money(month.minor),
                remark: thrownRemark(month),
              }))}
            />
          </>
        ))}
        {history('How often a space was opened', () => (
          <>
            <Small>
              {`Days since ${dayWords(data!.since, day)} on which something that lies there now was put in, taken, counted or moved, as it was noted.`}
            </Small>
            <Bars
              label="Days opened, by space"
              width={width}
              bars={data!.opened.slice(0, MOST).map(({ spaceId, days }) => ({
                key: spaceId,
                label: nameOf(spaceId),
                value: days,
                figure: counted(days, { one: '# day', other: '# days' }),
              }))}
            />
          </>
        ))}
        {history('Moved most often', () =>
          data!.moved.length === 0 ? (
            <Small>{`Nothing was moved from one place to another since ${dayWords(data!.since, day)}.`}</Small>
          ) : (
            <>
              <Small>{`Some of it from one place to another, since ${dayWords(data!.since, day)}; bins with all in them are not counted.`}</Small>
              <Bars
                label="Moved most often"
                width={width}
                bars={data!.moved.slice(0, MOST).map(({ itemId, name, times }) => ({
                  key: itemId,
                  label: name,
                  value: times,
                  figure: counted(times, { one: 'once', other: '# times' }),
                }))}
              />
            </>
          ),
        )}
        <Figure title="Counts against what was noted">
          {counts.length === 0 ? (
            <Small>Nothing was counted in the last half year.</Small>
          ) : (
            <>
              <Small>
                {`${counted(counts.filter(({ gapThousandths }) => gapThousandths === 0).length, { zero: 'None', one: '#', other: '#' })} of ${counts.length} that were counted in the last half year agreed with what was noted. The largest differences:`}
              </Small>
              <Bars
                label="Counts against what was noted"
                width={width}
                bars={counts
                  .filter(({ gapThousandths }) => gapThousandths !== 0)
                  .slice(0, MOST)
                  .map((one) => ({
                    key: one.item.id,
                    label: one.item.name,
                    value: Math.sign(one.gapThousandths) * Math.log10(1 + Math.abs(one.gapThousandths) / 1000),
                    figure: gapWords(one),
                  }))}
              />
              <Small>Bars grow with the logarithm, since grams stand beside tins.</Small>
            </>
          )}
        </Figure>
      </XStack>
      {insuring ? <InsuranceDialog onClose={() => setInsuring(false)} /> : null}
    </Screen>
  );
}

const Figure = ({ title, children }: { title: string; children: ReactNode }) => (
  <Card width={CARD_WIDTH} maxWidth="100%" padding={16} gap={8} role="region" aria-label={title}>
    <Heading fontSize={20} lineHeight={26}>
      {title}
    </Heading>
    {children}
  </Card>
);
