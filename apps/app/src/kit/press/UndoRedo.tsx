import { Button } from './Button';
import { Redo, Undo } from './icons';

/** Takes back the last step, and does it again; each is quiet while there is nothing to take back. */
export function UndoRedo({ undo, redo }: { undo: (() => void) | null; redo?: (() => void) | null }) {
  return (
    <>
      <Button kind="quiet" iconOnly icon={Undo} label="Undo" disabled={!undo} onPress={() => undo?.()} />
      {redo === undefined ? null : (
        <Button kind="quiet" iconOnly icon={Redo} label="Redo" disabled={!redo} onPress={() => redo?.()} />
      )}
    </>
  );
}
