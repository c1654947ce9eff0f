import {
  capHeightFor,
  CARDS,
  codeAddress,
  layDoorCard,
  layForm,
  layReferenceCard,
  opsForPrinting,
  scheduleOf,
  type CardSize,
  type DoorCard,
  type Labelled,
  type LabelLayout,
  type LabelSheet,
  type LabelWish,
  type ReferenceCard,
} from '@ours/core';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { useFront } from '@/features/drawing';
import { useToast } from '@/kit/feedback/Toasts';
import { useSaveFile } from '@/kit/feedback/useSaveFile';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { shelfWords } from '@/shared/placeWords';
import { useRunCommand } from '@/shared/useRunCommand';
import { printer } from '@/simulated/devices';
import { dotsAsPicture } from '@/simulated/dotsAsPicture';
import { printerProblemWords } from './words';
import { dotsOf, pagesAsPng } from './labelCanvas';
import { fetchLabelFonts, type LabelFonts } from '@/kit/printFonts';
import { labelsPdf, pagesPdf, testPagePdf } from './labelsPdf';
import { labelSvg } from './labelSvg';
import type { LabelWishes } from './labelWishes';
import { scheduleWords } from './words';

/** What is asked of one label. @param distance it is read from, mm */
export const wishOf = (
  one: Labelled,
  { width, height }: Pick<LabelSheet, 'width' | 'height'>,
  wishes: LabelWishes,
  distance: number,
): LabelWish => ({
  width,
  height,
  words: one.words,
  contents: wishes.contents && one.contents !== '' ? one.contents : null,
  plate: `${one.code.slice(0, -1)} ${one.code.slice(-1)}`,
  address: wishes.code ? codeAddress(location.origin, one.code) : null,
  capMm: capHeightFor(distance),
});

/** Labels and door cards as files, and to the simulated printer; what fails says so. */
export function useLabelOutput({
  spaceId,
  name,
  sheet,
  used,
  wishes,
  labels,
  layout,
  distance,
}: {
  spaceId: string;
  name: string;
  sheet: LabelSheet;
  used: number;
  wishes: LabelWishes;
  labels: readonly Labelled[];
  layout: (one: Labelled) => LabelLayout;
  distance: number;
}) {
  const toast = useToast();
  const saveFile = useSaveFile();
  const runCommand = useRunCommand();
  const state = useHousehold((snapshot) => snapshot.state);
  const front = useFront(spaceId);
  const [pictures, setPictures] = useState<string[] | null>(null);
  /** Draws with the shipped typefaces; without them nothing is saved. */
  const draw = async (what: string, drawing: (fonts: LabelFonts) => Promise<void>): Promise<boolean> => {
    try {
      await drawing(await fetchLabelFonts());
      return true;
    } catch {
      toast({
        text: `${what} could not be drawn; the typeface is not on this device yet. Try again with a signal.`,
        problem: true,
      });
      return false;
    }
  };
  const print = async (which: readonly Labelled[]): Promise<void> => {
    const drawn = await draw('The labels', async (fonts) => {
      saveFile('labels.pdf', 'application/pdf', await labelsPdf(sheet, which.map(layout), used, wishes, fonts));
    });
    if (drawn)
      await runCommand(
        'labels_printed',
        opsForPrinting(state, which, wishes.contents && wishes.words, today(), () => uuidv7()),
        'Saved as labels.pdf, and remembered as printed.',
      );
  };
  const testPage = (): Promise<boolean> =>
    draw('The test page', async (fonts) => {
      saveFile('label-test-page.pdf', 'application/pdf', await testPagePdf(sheet, wishes, fonts));
    });
  const svg = (one: Labelled): Promise<boolean> =>
    draw('The label', async (fonts) => {
      saveFile('label.svg', 'image/svg+xml', await labelSvg(layout(one), sheet.width, sheet.height, fonts));
    });
  const toPrinter = (which: readonly Labelled[]): Promise<boolean> =>
    draw('The labels', async (fonts) => {
      const { dpi, widthMm: width, heightMm: height } = printer.media();
      const dots = [];
      for (const one of which) {
        const { marks } = layForm('plain', wishOf(one, { width, height }, wishes, distance), wishes.words);
        dots.push(await dotsOf(marks, width, height, dpi, fonts));
      }
      const answer = printer.print(dots);
      if (!answer.ok) toast({ text: printerProblemWords(answer, dots.length), problem: true });
      if (answer.printed > 0) setPictures(dots.slice(0, answer.printed).map(dotsAsPicture));
    });
  const doorCard = async (size: CardSize, cards: readonly ReferenceCard[], as: 'pdf' | 'png'): Promise<void> => {
    if (!front) return;
    const nameOf = (id: string): string => {
      const shelf = state.get('shelf', id);
      return shelf ? shelfWords(state, shelf) : '';
    };
    const card: DoorCard = {
      size,
      title: name,
      room: state.get('room', front.space.roomId)?.name ?? '',
      plate: front.space.code.slice(0, -1).replace(/-$/, ''),
      front: front.view,
      rows: labels.map((one) => (one.keptFree ? { ...one, contents: 'kept free' } : one)),
      address: wishes.code ? codeAddress(location.origin, front.space.code) : null,
      notes: scheduleOf(state, spaceId).map((line) => scheduleWords(line, nameOf, today())),
    };
    await draw('The door card', async (fonts) => {
      const pages = [...layDoorCard(card), ...cards.map((one) => layReferenceCard(one, card))];
      if (as === 'pdf') return saveFile('door-card.pdf', 'application/pdf', await pagesPdf(pages, CARDS[size], fonts));
      const pictures = await pagesAsPng(pages, CARDS[size].width, CARDS[size].height, fonts);
      pictures.forEach((page, at) =>
        saveFile(pages.length === 1 ? 'door-card.png' : `door-card-${at + 1}.png`, 'image/png', page),
      );
    });
  };
  return { print, testPage, svg, toPrinter, doorCard, pictures, closePictures: () => setPictures(null) };
}
