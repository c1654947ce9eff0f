import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useId,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Strong } from '@/kit/text/Text';

interface Toast {
  text: string;
  undo?: () => void;
  /** Hands on what was saved. */
  share?: () => void;
  problem?: boolean;
}

const ShowContext = createContext<(toast: Toast) => void>(() => undefined);
interface Shown {
  toast: Toast | null;
  close: () => void;
  /** The dialog that is open over all else; null: none is. */
  over: string | null;
}
const ShownContext = createContext<Shown>({ toast: null, close: () => undefined, over: null });
/** A dialog says that it is open; the answer takes that back. */
const OverContext = createContext<(id: string) => () => void>(() => () => undefined);
const SHOWN_MS = 9000;

/** Holds the one line that says what was done and offers to take it back; each page shows it above its foot. */
export function ToastProvider({ children }: { children: ReactNode }) {
  const [toast, setToast] = useState<Toast | null>(null);
  const [dialogs, setDialogs] = useState<readonly string[]>([]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const close = useCallback(() => setToast(null), []);
  const show = useCallback(
    (next: Toast) => {
      clearTimeout(timer.current);
      // What was saved can still be handed on beside what is said of it right after.
      setToast((before) => (before?.share && !next.share && !next.problem ? { ...next, share: before.share } : next));
      timer.current = setTimeout(close, SHOWN_MS);
    },
    [close],
  );
  useEffect(() => () => clearTimeout(timer.current), []);
  const enter = useCallback((id: string) => {
    setDialogs((before) => [...before, id]);
    return () => setDialogs((before) => before.filter((one) => one !== id));
  }, []);
  const over = dialogs.at(-1) ?? null;
  const shown = useMemo(() => ({ toast, close, over }), [toast, close, over]);
  return (
    <ShowContext.Provider value={show}>
      <OverContext.Provider value={enter}>
        <ShownContext.Provider value={shown}>{children}</ShownContext.Provider>
      </OverContext.Provider>
    </ShowContext.Provider>
  );
}

export const useToast = (): ((toast: Toast) => void) => useContext(ShowContext);

/** The line within a dialog: what is said while it is open stands in it, for the page behind it is out of reach. */
export function DialogToastLine() {
  const enter = useContext(OverContext);
  const id = useId();
  useEffect(() => enter(id), [enter, id]);
  return <ToastLine within={id} />;
}

/** The line itself. It takes its own room at the foot of the page, so that it covers nothing, least of all what it reports. */
export function ToastLine({ within = null }: { within?: string | null }) {
  const { toast: said, close, over } = useContext(ShownContext);
  const toast = over === within ? said : null;
  const { undo, share } = toast ?? {};
  return (
    <XStack justifyContent="center" paddingHorizontal={12} role="status" aria-live="polite" flexShrink={0}>
      {toast ? (
        <XStack
          maxWidth={560}
          width="100%"
          alignItems="center"
          gap={8}
          marginVertical={6}
          paddingLeft={16}
          paddingRight={6}
          minHeight={56}
          borderRadius={12}
          borderWidth={2}
          borderColor={toast.problem ? '$late' : '$color'}
          backgroundColor="$background"
        >
          <Strong flex={1} fontSize={15} paddingVertical={8}>
            {toast.text}
          </Strong>
          {share ? (
            <Button
              kind="quiet"
              label="Share"
              onPress={() => {
                close();
                share();
              }}
            />
          ) : null}
          {undo ? (
            <Button
              kind="quiet"
              label="Undo"
              onPress={() => {
                close();
                undo();
              }}
            />
          ) : null}
        </XStack>
      ) : null}
    </XStack>
  );
}
