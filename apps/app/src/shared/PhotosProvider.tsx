import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { PhotoBox } from '@/data/photos/PhotoBox';
import { useConnection, useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';

const PhotosContext = createContext<{ box: PhotoBox; unsent: number } | null>(null);
const AGAIN_MS = 30_000;

/** The pictures of the home on this device; they are sent when everything else has been. */
export function PhotosProvider({ children }: { children: ReactNode }) {
  const { me } = useHouseholdContext();
  const { householdId, accountId } = me;
  const [box, setBox] = useState<PhotoBox | null>(null);
  const [unsent, setUnsent] = useState(0);
  const connection = useConnection();
  const waiting = useHousehold(({ store }) => store.waiting.length);
  useEffect(() => {
    const own = new PhotoBox({ householdId, accountId });
    const count = (): void => void own.unsent().then(setUnsent, () => undefined);
    const stop = own.subscribe(count);
    count();
    setBox(own);
    return () => {
      stop();
      void own.close();
    };
  }, [householdId, accountId]);
  useEffect(() => {
    if (!box || unsent === 0 || connection !== 'online' || waiting > 0) return undefined;
    const send = (): void => void box.send().catch(() => undefined);
    send();
    // What could not be sent is tried again while the line is there.
    const timer = setInterval(send, AGAIN_MS);
    return () => clearInterval(timer);
  }, [box, unsent, connection, waiting]);
  const value = useMemo(() => box && { box, unsent }, [box, unsent]);
  return <PhotosContext.Provider value={value}>{children}</PhotosContext.Provider>;
}

/** The pictures of the home; null for the moment in which they are being opened. */
export const usePhotos = (): PhotoBox | null => useContext(PhotosContext)?.box ?? null;

/** How many pictures only this device has. */
export const useUnsentPictures = (): number => useContext(PhotosContext)?.unsent ?? 0;

/** The address of a picture in this page; null: it is not there (yet). `missing`: it is not on this device and cannot be fetched now. */
export function usePicture(hash: string | null): { url: string | null; missing: boolean } {
  const box = usePhotos();
  const connection = useConnection();
  const [found, setFound] = useState<{ hash: string; url: string | null } | null>(null);
  useEffect(() => {
    if (hash === null || !box) return undefined;
    let url: string | null = null;
    let gone = false;
    let timer: ReturnType<typeof setTimeout> | null = null;
    const look = (): void =>
      void box.get(hash, false).then((blob) => {
        if (gone) return;
        url = blob && URL.createObjectURL(blob);
        setFound({ hash, url });
        // The device that took it may not have sent it yet.
        if (blob === null) timer = setTimeout(look, AGAIN_MS);
      });
    look();
    return () => {
      gone = true;
      if (timer) clearTimeout(timer);
      if (url) URL.revokeObjectURL(url);
    };
  }, [box, hash, connection]);
  const own = found?.hash === hash ? found : null;
  return { url: own?.url ?? null, missing: own !== null && own.url === null };
}
