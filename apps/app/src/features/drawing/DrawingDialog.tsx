import { useRef, useState } from 'react';
import { Theme, XStack, YStack } from 'tamagui';
import { drawingPng, drawingText } from './drawingFile';
import { OpenDoorView } from './OpenDoorView';
import { useFront } from './useFront';
import { useToast } from '@/kit/feedback/Toasts';
import { useSaveFile } from '@/kit/feedback/useSaveFile';
import { Choices } from '@/kit/form/Choices';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { BODY_FONT, BOLD_FONT, MONO_BOLD_FONT, MONO_FONT, STRONG_FONT } from '@/kit/theme/tamagui.config';
import { useHome } from '@/shared/useHome';
import { fetchLabelFonts } from '@/kit/printFonts';

/** Drawn so wide, so that all names have room; shown smaller. */
const WIDTH = 900;
const MOST_HEIGHT = 1000;
const SHOWN = 0.34;
const familyOf = (font: string): string => font.split(',')[0]!.replaceAll("'", '').trim();

/** The drawing of a space as a file: SVG, or PNG to hand on; in light colours, on white. */
export function DrawingDialog({ spaceId, onClose }: { spaceId: string; onClose: () => void }) {
  const front = useFront(spaceId);
  const { unit } = useHome();
  const toast = useToast();
  const saveFile = useSaveFile();
  const [measured, setMeasured] = useState<'names' | 'measures'>('names');
  const [busy, setBusy] = useState(false);
  const frame = useRef<HTMLDivElement>(null);
  if (!front) return null;
  const { space, view, summaryOf } = front;
  const file = space.name.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  const make = async (work: (text: ReturnType<typeof drawingText>) => Promise<void>): Promise<void> => {
    const drawn = frame.current?.querySelector('svg');
    if (!drawn) return;
    setBusy(true);
    try {
      const { bold, regular, mono } = await fetchLabelFonts();
      const fonts = new Map([
        [familyOf(BODY_FONT), regular],
        [familyOf(STRONG_FONT), bold],
        [familyOf(BOLD_FONT), bold],
        [familyOf(MONO_FONT), mono],
        [familyOf(MONO_BOLD_FONT), mono],
      ]);
      await work(drawingText(drawn, space.name, fonts));
    } catch {
      toast({ text: 'The drawing could not be made. Try again with a signal.', problem: true });
    }
    setBusy(false);
  };
  return (
    <Dialog title={`The drawing of ${space.name}`} open onClose={onClose}>
      <Choices
        label="What it shows"
        hideLabel
        choices={[
          { value: 'names', label: 'What is where' },
          { value: 'measures', label: 'With measures' },
        ]}
        value={measured}
        onChange={setMeasured}
      />
      <Theme name="light">
        <YStack
          height={Math.min(340, MOST_HEIGHT * SHOWN)}
          overflow="hidden"
          alignItems="center"
          backgroundColor="$background"
          aria-hidden
        >
          <div ref={frame} style={{ width: WIDTH * SHOWN }}>
            <div style={{ transform: `scale(${SHOWN})`, transformOrigin: '0 0', width: WIDTH }}>
              <OpenDoorView
                view={view}
                width={WIDTH}
                maxHeight={MOST_HEIGHT}
                summaryOf={summaryOf}
                measures={measured === 'measures' ? unit : null}
              />
            </div>
          </div>
        </YStack>
      </Theme>
      <XStack gap={8} flexWrap="wrap">
        <Button
          grow
          kind="primary"
          label="Save PNG"
          disabled={busy}
          onPress={() => void make(async (text) => saveFile(`${file}.png`, 'image/png', await drawingPng(text)))}
        />
        <Button
          label="Save SVG"
          disabled={busy}
          onPress={() => void make(async ({ svg }) => saveFile(`${file}.svg`, 'image/svg+xml', svg))}
        />
      </XStack>
      <Button kind="quiet" label="Done" onPress={onClose} />
    </Dialog>
  );
}
