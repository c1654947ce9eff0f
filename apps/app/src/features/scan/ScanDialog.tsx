import { useEffect, useRef, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Problem } from '@/kit/feedback/Problem';
import { pickPicture } from '@/kit/files';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { readPicture } from '@/kit/scan/readPicture';
import { Small, Strong } from '@/kit/text/Text';
import { useEmitScan, type ScannedBy } from '@/shared/ScanProvider';

/** Looks at the camera's picture so often. */
const LOOK_MS = 180;

const CAMERA_WORDS = {
  NotAllowedError: 'This browser may not use the camera: allow it for this address, or choose a picture.',
  NotFoundError: 'No camera was found: choose a picture, or type the code.',
} as const;
const cameraProblem = (error: unknown): string =>
  CAMERA_WORDS[(error as { name?: keyof typeof CAMERA_WORDS }).name ?? 'NotFoundError'] ??
  'The camera cannot be used now: choose a picture, or type the code.';

/** Reads a code by the camera, from a picture, or as it is typed. @param keep stays open for one after the other */
export function ScanDialog({ keep = false, onClose }: { keep?: boolean; onClose: () => void }) {
  const emit = useEmitScan();
  const [problem, setProblem] = useState<string | null>(null);
  const [read, setRead] = useState<string | null>(null);
  const [typed, setTyped] = useState('');
  const take = (text: string, by: ScannedBy): void => {
    setRead(text);
    setProblem(null);
    if (!keep) onClose();
    emit(text, by);
  };
  const picture = async (): Promise<void> => {
    const file = await pickPicture(false);
    if (!file) return;
    try {
      const [text] = await readPicture(file);
      if (text === undefined) setProblem('No code was found in this picture; come closer, and hold it straight.');
      else take(text, 'picture');
    } catch {
      setProblem('This file is no picture that can be read, or the reader could not be loaded.');
    }
  };
  const type = (): void => {
    if (typed.trim() === '') return;
    take(typed.trim(), 'typed');
    setTyped('');
  };
  return (
    <Dialog title="Scan a code" open onClose={onClose}>
      <CameraView onText={(text) => take(text, 'camera')} onProblem={setProblem} />
      {problem ? <Problem text={problem} /> : null}
      {read === null ? null : <Strong role="status" numberOfLines={1}>{`Read: ${read}`}</Strong>}
      <Small>
        A label of a place, the bars on goods, a square code with a date in it. A scanner that types works anywhere.
      </Small>
      <Field
        label="Or type what stands below it"
        value={typed}
        onChangeText={setTyped}
        onSubmitEditing={type}
        autoCapitalize="characters"
        autoCorrect={false}
      />
      <XStack gap={8} flexWrap="wrap">
        <Button kind="primary" label="Take it" disabled={typed.trim() === ''} onPress={type} />
        <Button label="From a picture …" onPress={() => void picture()} />
        <Button label="Close" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

/** The camera's picture, read a few times a second while it is shown. */
function CameraView({ onText, onProblem }: { onText: (text: string) => void; onProblem: (words: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const told = useRef({ onText, onProblem });
  const [shown, setShown] = useState(false);
  useEffect(() => {
    told.current = { onText, onProblem };
  });
  useEffect(() => {
    let stopped = false;
    let stream: MediaStream | null = null;
    const look = async (): Promise<void> => {
      const element = video.current;
      if (stopped || !element) return;
      if (element.readyState >= element.HAVE_CURRENT_DATA) {
        const [text] = await readPicture(element).catch(() => [] as string[]);
        if (stopped) return;
        if (text !== undefined) told.current.onText(text);
      }
      setTimeout(() => void look(), LOOK_MS);
    };
    const open = async (): Promise<void> => {
      if (!navigator.mediaDevices?.getUserMedia)
        return told.current.onProblem('The camera is only there over https: choose a picture, or type the code.');
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' }, audio: false });
        if (stopped) return stream.getTracks().forEach((track) => track.stop());
        if (!video.current) return;
        video.current.srcObject = stream;
        await video.current.play();
        setShown(true);
        void look();
      } catch (error) {
        if (!stopped) told.current.onProblem(cameraProblem(error));
      }
    };
    void open();
    return () => {
      stopped = true;
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  return (
    <YStack height={shown ? 220 : 0} borderRadius={10} overflow="hidden" backgroundColor="$color">
      <video
        ref={video}
        muted
        playsInline
        aria-label="Camera"
        style={{ width: '100%', height: '100%', objectFit: 'cover' }}
      />
    </YStack>
  );
}
