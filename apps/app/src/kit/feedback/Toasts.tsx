import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Strong } from '@/kit/text/Text';

interface Toast {
  text: string;
  undo?: () => void;
  problem?: boolean;
}

interface ToastPlace {
  show: (toast: Toast) => void;
  /** Keeps the line clear of what a screen has at its foot. */
  liftBy: (height: number) => void;
}
const ToastContext = createContext<ToastPlace>({ show: () => undefined, liftBy: () => undefined });
const SHOWN_MS = 9000;

/** One line at the bottom that says what was done and offers to take it back. */
export function ToastProvider({ children }: { children: ReactNode }) {
  const [toast, setToast] = useState<Toast | null>(null);
  const [lift, setLift] = useState(0);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const show = useCallback((next: Toast) => {
    clearTimeout(timer.current);
    setToast(next);
    timer.current = setTimeout(() => setToast(null), SHOWN_MS);
  }, []);
  useEffect(() => () => clearTimeout(timer.current), []);
  const undo = toast?.undo;
  const place = useMemo(() => ({ show, liftBy: setLift }), [show]);
  return (
    <ToastContext.Provider value={place}>
      {children}
      <XStack
        position="absolute"
        left={0}
        right={0}
        bottom={92 + lift}
        justifyContent="center"
        paddingHorizontal={12}
        pointerEvents="box-none"
        zIndex={300}
        role="status"
        aria-live="polite"
      >
        {toast ? (
          <XStack
            maxWidth={560}
            width="100%"
            alignItems="center"
            gap={8}
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
                  setToast(null);
                  undo();
                }}
              />
            ) : null}
          </XStack>
        ) : null}
      </XStack>
    </ToastContext.Provider>
  );
}

export const useToast = (): ((toast: Toast) => void) => useContext(ToastContext).show;
export const useToastLift = (): ((height: number) => void) => useContext(ToastContext).liftBy;
