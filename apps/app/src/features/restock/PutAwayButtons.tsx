import { Button } from '@/kit/press/Button';

/** One thing is in its place, or comes later. */
export function PutAwayButtons({
  ready,
  next,
  onDone,
  onSkip,
}: {
  ready: boolean;
  /** The name of what comes then; null: it is the last. */
  next: string | null;
  onDone: () => void;
  onSkip: () => void;
}) {
  return (
    <>
      <Button
        kind="primary"
        grow
        disabled={!ready}
        label={next === null ? 'Done' : `Done, next: ${next}`}
        onPress={onDone}
      />
      <Button label="Skip" onPress={onSkip} />
    </>
  );
}
