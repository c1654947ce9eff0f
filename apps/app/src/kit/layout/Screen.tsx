import { ChevronLeft } from '@/kit/press/icons';
import { useRouter } from 'expo-router';
import { createContext, useCallback, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import { ScrollView, XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { ToastLine } from '@/kit/feedback/Toasts';
import { Small, Title } from '@/kit/text/Text';
import { WIDEST } from './useContentWidth';

const ScrollerContext = createContext<HTMLElement | null>(null);
/** The element that scrolls the page this is on; null until it is there. */
export const useScroller = (): HTMLElement | null => useContext(ScrollerContext);

/** From so many letters on a title is set smaller, from `LONG_TITLE` on in two lines; on a phone 24 letters fit on one. */
const LONGER_TITLE = 17;
const LONG_TITLE = 26;
const titleSize = (title: string): object => (title.length > LONGER_TITLE ? { fontSize: 16, lineHeight: 22 } : {});

interface ScrollNode {
  scrollTo: (to: { y: number }) => void;
  getScrollableNode?: () => HTMLElement;
}

/** What every page shows in its corner, beside its own controls; the home puts the state of saving there. */
export const ScreenCorner = createContext<ReactNode>(null);

/** A page: its name, what belongs to it at the right, and the content that scrolls under it. */
export function Screen({
  title,
  sub,
  right,
  back,
  children,
  footer,
  topAt,
  fullWidth = false,
  fixed,
  side,
}: {
  title: string;
  sub?: string | undefined;
  right?: ReactNode;
  /** Where "back" leads when there is no way back in history. */
  back?: string;
  children: ReactNode;
  /** Stays at the foot, above the places: within the thumb's reach. */
  footer?: ReactNode;
  /** When this changes the content goes back to its top, where the answer is. */
  topAt?: string | null;
  /** A table takes all the width there is, and scrolls sideways where that is too little. */
  fullWidth?: boolean;
  /** Stays in sight above what scrolls. */
  fixed?: ReactNode;
  /** Stands beside what scrolls, and scrolls by itself. */
  side?: ReactNode;
}) {
  const router = useRouter();
  const corner = useContext(ScreenCorner);
  const scroll = useRef<ScrollNode>(null);
  const [scroller, setScroller] = useState<HTMLElement | null>(null);
  const attach = useCallback((node: ScrollNode | null) => {
    scroll.current = node;
    setScroller(node?.getScrollableNode?.() ?? null);
  }, []);
  useEffect(() => {
    if (topAt) scroll.current?.scrollTo({ y: 0 });
  }, [topAt]);
  return (
    <YStack flex={1} backgroundColor="$backgroundStrong" render="main">
      <XStack
        minHeight={64}
        paddingHorizontal={16}
        paddingVertical={8}
        gap={8}
        alignItems="center"
        width="100%"
        maxWidth={fullWidth ? undefined : WIDEST}
        alignSelf="center"
      >
        {back === undefined ? null : (
          <XStack className="no-print">
            <Button
              kind="quiet"
              icon={ChevronLeft}
              iconOnly
              label="Back"
              onPress={() => (router.canGoBack() ? router.back() : router.replace(back as never))}
            />
          </XStack>
        )}
        <YStack flex={1} minWidth={0}>
          <Title numberOfLines={LONG_TITLE < title.length ? 2 : 1} {...titleSize(title)}>
            {title}
          </Title>
          {sub ? <Small numberOfLines={1}>{sub}</Small> : null}
        </YStack>
        <XStack className="no-print" gap={8} alignItems="center">
          {right}
          {corner}
        </XStack>
      </XStack>
      {fixed}
      <XStack flex={1} minHeight={0}>
        <ScrollView
          ref={attach as never}
          flex={1}
          keyboardShouldPersistTaps="handled"
          {...(fullWidth ? { style: { overflowX: 'auto' } as object } : {})}
        >
          <YStack
            className="page-content"
            paddingBottom={24}
            width="100%"
            maxWidth={fullWidth ? undefined : WIDEST}
            alignSelf="center"
          >
            <ScrollerContext.Provider value={scroller}>{children}</ScrollerContext.Provider>
          </YStack>
        </ScrollView>
        {side ? (
          <ScrollView flexGrow={0} contentContainerStyle={{ minHeight: '100%' }}>
            {side}
          </ScrollView>
        ) : null}
      </XStack>
      <YStack className="no-print">
        <ToastLine />
        {footer}
      </YStack>
    </YStack>
  );
}
