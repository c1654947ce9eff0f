import type { LookLine, LookPage } from '@ours/contracts';
import { YStack } from 'tamagui';
import { packWords } from '@/features/restock/words';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { counted } from '@/kit/text/counted';
import { weekdayAndDay } from '@/kit/text/dayWords';
import { Small } from '@/kit/text/Text';
import { today } from '@/shared/opContext';

const NO_AISLE = 'Other things';

/** The lines by kind of goods, in the order in which they stand on the list. */
function byAisle(lines: readonly LookLine[]): [string, LookLine[]][] {
  const aisles = new Map<string, LookLine[]>();
  for (const line of lines) aisles.set(line.aisle, [...(aisles.get(line.aisle) ?? []), line]);
  const other = aisles.get('');
  aisles.delete('');
  return [...aisles, ...(other ? [[NO_AISLE, other] as [string, LookLine[]]] : [])];
}

const detailOf = ({ unit, packThousandths, size, inBasket }: LookLine): string =>
  [unit === null ? '' : packWords(packThousandths, { unit }, size), inBasket ? 'in the basket already' : '']
    .filter((part) => part !== '')
    .join(' · ');

/** What is to be bought on the next trip. */
export function LookList({ page }: { page: LookPage & { what: 'list' } }) {
  const { day, shop, lines } = page;
  return (
    <YStack>
      <Small paddingHorizontal={16} paddingBottom={8}>
        {[weekdayAndDay(day, today()), shop ?? '', counted(lines.length, { one: '# line', other: '# lines' })]
          .filter((part) => part !== '')
          .join(' · ')}
      </Small>
      {lines.length === 0 ? <Small padding={16}>Nothing has to be bought on this trip.</Small> : null}
      {byAisle(lines).map(([aisle, of]) => (
        <YStack key={aisle} role="group" aria-label={aisle}>
          <ListHeading title={aisle} />
          {of.map((line, at) => (
            <ListRow key={at} title={`${line.packs} × ${line.name}`} detail={detailOf(line)} />
          ))}
        </YStack>
      ))}
    </YStack>
  );
}
