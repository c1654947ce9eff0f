import { usePathname, useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import type { IconType } from '@/kit/press/Button';
import { Basket, Nooks, Pencil, Rounds, Search } from '@/kit/press/icons';
import { RAIL_WIDTH } from '@/kit/layout/useContentWidth';
import { pressable } from '@/kit/press/pressable';
import { usePalette } from '@/kit/theme/usePalette';
import { Strong } from '@/kit/text/Text';

interface Place {
  path: string;
  label: string;
  icon: IconType;
}
const PLACES: readonly Place[] = [
  { path: '/', label: 'Find', icon: Search },
  { path: '/nooks', label: 'Nooks', icon: Nooks },
  { path: '/record', label: 'Record', icon: Pencil },
  { path: '/restock', label: 'Restock', icon: Basket },
  { path: '/rounds', label: 'Rounds', icon: Rounds },
];

function isAt(place: Place, path: string): boolean {
  if (place.path === '/nooks') return /^\/(nooks|space|nook|containers)/.test(path);
  if (place.path === '/restock') return /^\/(restock|item|stock|use-first)/.test(path);
  if (place.path === '/rounds') return /^\/(rounds?|drift|kits?|out|care|backlog|recall|reserve)(\/|$)/.test(path);
  return place.path === path;
}

/** Four places and one action: at the thumb on a phone, as a rail on a wide screen, with `foot` at its end. */
export function Shell({ foot, children }: { foot?: ReactNode; children: ReactNode }) {
  const { gtMd } = useMedia();
  return gtMd ? (
    <XStack flex={1} backgroundColor="$backgroundStrong">
      <Rail foot={foot} />
      <YStack flex={1} minWidth={0}>
        {children}
      </YStack>
    </XStack>
  ) : (
    <YStack flex={1} backgroundColor="$backgroundStrong">
      <YStack flex={1} minHeight={0}>
        {children}
      </YStack>
      <Bar />
    </YStack>
  );
}

function useGo(place: Place) {
  const router = useRouter();
  const path = usePathname();
  const go = (): void => router.navigate(place.path as never);
  return {
    current: isAt(place, path),
    props: {
      ...pressable({ onPress: go, role: 'link' }),
      'aria-label': place.label,
      'aria-current': isAt(place, path) ? ('page' as const) : undefined,
    },
  };
}

function Bar() {
  return (
    <XStack
      render="nav"
      aria-label="Places"
      position="relative"
      zIndex={10}
      height={76}
      borderTopWidth={1}
      borderColor="$borderColor"
      backgroundColor="$background"
      alignItems="stretch"
    >
      {PLACES.map((place) =>
        place.path === '/record' ? (
          <RecordTab key={place.path} place={place} />
        ) : (
          <Tab key={place.path} place={place} />
        ),
      )}
    </XStack>
  );
}

function Tab({ place }: { place: Place }) {
  const palette = usePalette();
  const { current, props } = useGo(place);
  const color = current ? palette.green : palette.ink;
  const Icon = place.icon;
  return (
    <YStack {...props} flex={1} alignItems="center" justifyContent="center" gap={3}>
      <Icon size={24} color={color} strokeWidth={current ? 2.4 : 1.8} />
      <Strong fontSize={14} lineHeight={18} style={{ color }}>
        {place.label}
      </Strong>
    </YStack>
  );
}

function RecordTab({ place }: { place: Place }) {
  const palette = usePalette();
  const { props } = useGo(place);
  const Icon = place.icon;
  return (
    <YStack flex={1} alignItems="center" justifyContent="center">
      <YStack
        {...props}
        width={66}
        height={66}
        borderRadius={14}
        backgroundColor="$accent"
        borderWidth={2}
        borderColor="$background"
        alignItems="center"
        justifyContent="center"
        gap={3}
      >
        <Icon size={25} color={palette.onGreen} strokeWidth={2} />
        <Strong fontSize={14} lineHeight={18} color="$accentText">
          {place.label}
        </Strong>
      </YStack>
    </YStack>
  );
}

function Rail({ foot }: { foot: ReactNode }) {
  return (
    <YStack
      render="nav"
      aria-label="Places"
      width={RAIL_WIDTH}
      padding={12}
      gap={4}
      borderRightWidth={1}
      borderColor="$borderColor"
      backgroundColor="$background"
    >
      <Strong fontFamily="$heading" fontSize={20} lineHeight={26} padding={10} paddingBottom={20}>
        Every Nook
      </Strong>
      {PLACES.map((place) => (
        <RailLink key={place.path} place={place} />
      ))}
      <YStack flex={1} />
      {foot}
    </YStack>
  );
}

function RailLink({ place }: { place: Place }) {
  const palette = usePalette();
  const { current, props } = useGo(place);
  const color = current ? palette.green : palette.ink;
  const Icon = place.icon;
  return (
    <XStack
      {...props}
      minHeight={48}
      paddingHorizontal={12}
      gap={12}
      alignItems="center"
      borderRadius={10}
      backgroundColor={current ? '$greenTint' : 'transparent'}
    >
      <Icon size={21} color={color} strokeWidth={2} />
      <Strong style={{ color }}>{place.label}</Strong>
    </XStack>
  );
}
