import { ChevronLeft } from '@/kit/press/icons';
import { useRouter } from 'expo-router';
import { createContext, useCallback, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import { ScrollView, XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { useToastLift } from '@/kit/feedback/Toasts';
import { Small, Title } from '@/kit/text/Text';

const ScrollerContext = createContext<HTMLElement | null>(null);
/** The element that scrolls the page this is on; null until it is there. */
export const useScroller = (): HTMLElement | null => useContext(ScrollerContext);

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
        gap={10}
        alignItems="center"
        width="100%"
        maxWidth={1100}
        alignSelf="center"
      >
        {back === undefined ? null : (
          <Button
            kind="quiet"
            icon={ChevronLeft}
            iconOnly
            label="Back"
            onPress={() => (router.canGoBack() ? router.back() : router.replace(back as never))}
          />
        )}
        <XStack flex={1} minWidth={0} gap={8} alignItems="baseline" flexWrap="wrap">
          <Title numberOfLines={2}>{title}</Title>
          {sub ? <Small fontSize={16}>{sub}</Small> : null}
        </XStack>
        {right}
        {corner}
      </XStack>
      <ScrollView ref={attach as never} flex={1} keyboardShouldPersistTaps="handled">
        <YStack paddingBottom={footer ? 24 : 120} width="100%" maxWidth={1100} alignSelf="center">
          <ScrollerContext.Provider value={scroller}>{children}</ScrollerContext.Provider>
        </YStack>
      </ScrollView>
      {footer ? <Foot>{footer}</Foot> : null}
    </YStack>
  );
}

/** Whatever stands at the foot stays free of the line that says what was done. */
function Foot({ children }: { children: ReactNode }) {
  const liftBy = useToastLift();
  useEffect(() => () => liftBy(0), [liftBy]);
  return <YStack onLayout={({ nativeEvent }) => liftBy(nativeEvent.layout.height)}>{children}</YStack>;
}
