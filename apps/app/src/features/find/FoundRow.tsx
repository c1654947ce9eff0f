import { type Found } from '@ours/core';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { ListRow } from '@/kit/layout/ListRow';
import { Mark } from '@/kit/text/Mark';
import { Plate } from '@/kit/text/Plate';
import { dueMark, onHandWords } from '@/features/stock/words';
import { wayTo } from '@/shared/placeWords';

/** One more answer, as a line. */
export function FoundRow({
  found,
  onPress,
  selected = false,
}: {
  found: Found;
  onPress?: () => void;
  selected?: boolean;
}) {
  const nookId = found.kind === 'nook' ? found.nookId : found.lots[0]?.nookId;
  const place = useHousehold(({ state }) => (nookId === undefined ? null : wayTo(state, nookId)));
  if (found.kind === 'nook') {
    const name = place?.bins.at(-1)?.name ?? place?.steps.at(-1) ?? '';
    return (
      <ListRow
        title={name}
        detail={place?.steps.slice(0, -1).join(' › ')}
        {...(onPress ? { onPress } : {})}
        selected={selected}
        right={place ? <Plate code={place.code} /> : null}
      />
    );
  }
  const mark = found.lots.map((lot) => dueMark(lot, found.item, today())).find((one) => one !== null);
  const where = place ? ` · ${place.steps.slice(0, 2).join(' › ')}` : '';
  return (
    <ListRow
      title={found.item.name}
      detail={`${onHandWords(found.lots, found.item)}${where}`}
      {...(onPress ? { onPress } : {})}
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
