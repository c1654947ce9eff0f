import type { PhotoFields, PhotoRow } from '@ours/core';
import { useCallback } from 'react';
import { useToast } from '@/kit/feedback/Toasts';
import { pickPicture } from '@/kit/files';
import { shrinkPicture } from '@/kit/picture/shrink';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { usePhotos } from '@/shared/PhotosProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { MOMENT_WORDS, PICTURE_PROBLEMS } from './words';

/** Takes a picture of a place or thing, makes it small here, keeps it, and sends it after everything else. */
export function useTakePicture(
  ofId: string,
  name: string,
): (moment: PhotoRow['moment'], camera: boolean) => Promise<void> {
  const box = usePhotos();
  const toast = useToast();
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  return useCallback(
    async (moment, camera) => {
      const file = await pickPicture(camera);
      if (!file || !box) return;
      const small = await shrinkPicture(file);
      if (typeof small === 'string') return toast({ text: PICTURE_PROBLEMS[small], problem: true });
      let hash: string;
      try {
        hash = await box.keep(small.blob);
      } catch {
        return toast({ text: 'This device has no room for the picture. Make room and try again.', problem: true });
      }
      const context = opContext();
      const fields: PhotoFields = {
        ofId,
        hash,
        width: small.width,
        height: small.height,
        bytes: small.blob.size,
        takenAt: context.now,
        moment,
        byId: me.personId ?? null,
      };
      await runCommand(
        'photo_taken',
        [{ op: 'create', entity: 'photo', id: context.newId(), fields }],
        `Picture kept: ${name}, ${MOMENT_WORDS[moment].toLowerCase()}.`,
      );
    },
    [box, toast, runCommand, me.personId, ofId, name],
  );
}
