import { useCallback } from 'react';
import { fileToShare, saveFile, shareFile } from '@/kit/files';
import { useToast } from './Toasts';

/** Saves a file; where the device has sharing of its own that takes it, it can be handed on from the line that says so. */
export function useSaveFile(): (name: string, type: string, content: string | Uint8Array) => void {
  const toast = useToast();
  return useCallback(
    (name, type, content) => {
      saveFile(name, type, content);
      const file = fileToShare(name, type, content);
      if (file === null) return;
      const share = async (): Promise<void> => {
        if ((await shareFile(file)) === 'failed')
          toast({ text: `${name} could not be shared from here; it is saved.`, problem: true });
      };
      toast({ text: `Saved: ${name}.`, share: () => void share() });
    },
    [toast],
  );
}
