import { useWindowDimensions } from 'react-native';

export const RAIL_WIDTH = 210;
export const WIDE_FROM = 1024;
/** A page of text and drawings is no wider. */
export const WIDEST = 1100;

/** The width a screen's content has: the window, less the rail on a wide one. */
export function useContentWidth(): number {
  const { width } = useWindowDimensions();
  return Math.min(WIDEST, width >= WIDE_FROM ? width - RAIL_WIDTH : width);
}
