import {
  CARDS,
  codeTail,
  formatLength,
  formatSize,
  layMeasures,
  modelSpace,
  type BuyingList,
  type CardSize,
  type FrontView,
  type HouseholdState,
  type LengthUnit,
  type SpaceRow,
} from '@ours/core';
import { pagesPdf } from '@/features/labels';
import { fetchLabelFonts } from '@/kit/printFonts';
import { sizeWords } from '@/features/fit/words';
import { useToast } from '@/kit/feedback/Toasts';
import { useSaveFile } from '@/kit/feedback/useSaveFile';
import { Button } from '@/kit/press/Button';
import { useHousehold } from '@/shared/HouseholdProvider';
import { shelfWords } from '@/shared/placeWords';
import { useHome } from '@/shared/useHome';

/** Saves a drawing of the space with all its measures, and what is to be got, for the shop. */
export function MeasuresButton({ space, front, list }: { space: SpaceRow; front: FrontView; list: BuyingList | null }) {
  const { unit } = useHome();
  const saveFile = useSaveFile();
  const toast = useToast();
  const state = useHousehold((snapshot) => snapshot.state);
  const save = async (): Promise<void> => {
    const size: CardSize = unit === 'metric' ? 'A4' : 'Letter';
    try {
      const pages = layMeasures({
        size,
        title: space.name,
        room: state.get('room', space.roomId)?.name ?? '',
        plate: space.code.slice(0, -1).replace(/-$/, ''),
        front,
        says: (tenthMm) => formatLength(Math.round(tenthMm), unit),
        lines: linesOf(state, space, list, unit),
      });
      saveFile('measures.pdf', 'application/pdf', await pagesPdf(pages, CARDS[size], await fetchLabelFonts()));
    } catch {
      toast({ text: 'The sheet could not be drawn. Try again with a signal.', problem: true });
    }
  };
  return <Button label="Measures, PDF" onPress={() => void save()} />;
}

/** Shelf by shelf the clear measures, then what is to be got. */
function linesOf(state: HouseholdState, space: SpaceRow, list: BuyingList | null, unit: LengthUnit): string[] {
  const { shelves, unmeasured } = modelSpace(space, state.shelvesOf(space.id));
  const lines = shelves.map(
    ({ shelf, room }) =>
      `${codeTail(shelf.code)}  ${shelfWords(state, shelf)}: ${formatSize([room.openingWidth, room.depth, room.height], unit)} clear`,
  );
  lines.push(
    ...unmeasured.map(({ shelf }) => `${codeTail(shelf.code)}  ${shelfWords(state, shelf)}: not all measured`),
  );
  const open = list?.lines.filter(({ count, bought }) => count > bought) ?? [];
  if (open.length > 0) lines.push('', 'To buy:');
  for (const { container, count, bought } of open)
    lines.push(`${count - bought} × ${container.name}, ${sizeWords(container, unit)}`);
  return lines;
}
