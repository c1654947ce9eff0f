import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Strong } from '@/kit/text/Text';

interface Toast {
  text: string;
  undo?: () => void;
  problem?: boolean;
}

const ShowContext = createContext<(toast: Toast) => void>(() => undefined);
const ShownContext = createContext<{ toast: Toast | null; close: () => void }>({ toast: null, close: () => undefined });
const SHOWN_MS = 9000;

/** Holds the one line that says what was done and offers to take it back; each page shows it above its foot. */
export function ToastProvider({ children }: { children: ReactNode }) {
  const [toast, setToast] = useState<Toast | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const close = useCallback(() => setToast(null), []);
  const show = useCallback(
    (next: Toast) => {
      clearTimeout(timer.current);
      setToast(next);
      timer.current = setTimeout(close, SHOWN_MS);
    },
    [close],
  );
  useEffect(() => () => clearTimeout(timer.current), []);
  const shown = useMemo(() => ({ toast, close }), [toast, close]);
  return (
    <ShowContext.Provider value={show}>
      <ShownContext.Provider value={shown}>{children}</ShownContext.Provider>
    </ShowContext.Provider>
  );
}

export const useToast = (): ((toast: Toast) => void) => useContext(ShowContext);

/** The line itself. It takes its own room at the foot of the page, so that it covers nothing, least of all what it reports. */
export function ToastLine() {
  const { toast, close } = useContext(ShownContext);
  const undo = toast?.undo;
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
