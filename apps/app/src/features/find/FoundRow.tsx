import { foundId, type Found } from '@ours/core';
import { memo } from 'react';
import { useGuide } from '@/shared/useGuide';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useLoansOf } from '@/shared/useLoansOf';
import { today } from '@/shared/opContext';
import { ListRow } from '@/kit/layout/ListRow';
import { Mark } from '@/kit/text/Mark';
import { Plate } from '@/kit/text/Plate';
import { dueMark, onHandWords, outWords } from '@/features/stock/words';
import { wayTo } from '@/shared/placeWords';
import { sameRows } from './sameRows';

interface Props {
  found: Found;
  selected?: boolean;
  onChoose?: (id: string) => void;
}

const sameAnswer = (a: Found, b: Found): boolean =>
  a.kind === 'item' && b.kind === 'item'
    ? a.item === b.item && sameRows(a.lots, b.lots)
    : a.kind === 'nook' && b.kind === 'nook' && a.nookId === b.nookId;

/** One more answer, as a line. Most answers to one letter more are those to the letters before: they are not drawn anew. */
export const FoundRow = memo(
  Row,
  (a, b) => a.selected === b.selected && a.onChoose === b.onChoose && sameAnswer(a.found, b.found),
);

function Row({ found, selected = false, onChoose }: Props) {
  const nookId = found.kind === 'nook' ? found.nookId : found.lots[0]?.nookId;
  const guide = useGuide();
  const [loan] = useLoansOf(found.kind === 'item' ? found.lots.slice(0, 1) : []);
  const place = useHousehold(({ state }) => (nookId === undefined ? null : wayTo(state, nookId)));
  const press = onChoose ? { onPress: () => onChoose(foundId(found)) } : {};
  if (found.kind === 'nook') {
    const name = place?.bins.at(-1)?.name ?? place?.steps.at(-1) ?? '';
    return (
      <ListRow
        {...press}
        title={name}
        detail={place?.steps.slice(0, -1).join(' › ')}
        selected={selected}
        right={place ? <Plate code={place.code} /> : null}
      />
    );
  }
  const mark = found.lots.map((lot) => dueMark(lot, found.item, today(), guide)).find((one) => one !== null);
  const where = loan ? ` · ${outWords(loan, today())}` : place ? ` · ${place.steps.slice(0, 2).join(' › ')}` : '';
  return (
    <ListRow
      {...press}
      title={found.item.name}
      detail={`${onHandWords(found.lots, found.item)}${where}`}
      selected={selected}
      right={
        <>
          {mark ? <Mark {...mark} /> : null}
          {place ? <Plate code={place.code} /> : null}
        </>
      }
    />
  );
}
