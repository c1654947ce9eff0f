import type { TourNow } from '@ours/core';
import { counted } from '@/kit/text/counted';

/** `stop 3 of 12`. */
export const stopWords = ({ stops }: TourNow, at: string): string => `Stop ${stops.indexOf(at) + 1} of ${stops.length}`;

export function tourWords({ seen, stops, skipped }: TourNow): string {
  const done = `${seen} of ${counted(stops.length, { one: '# place', other: '# places' })} seen`;
  return skipped.length === 0 ? `${done}.` : `${done}, ${skipped.length} skipped.`;
}
