import { costWords } from '@/features/restock/words';
import type { Worth } from './stockRows';

/** `worth €49.13`, `worth €49.13 and what has no price (12)`. */
export function worthWords({ minor, unpriced }: Worth, currency: string): string {
  if (minor === 0 && unpriced > 0) return 'no prices known';
  const sum = `worth ${costWords(minor, currency)}`;
  return unpriced === 0 ? sum : `${sum} (${unpriced} without a price)`;
}
