import { useCallback, useSyncExternalStore } from 'react';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { outlookOf, type Outlook } from './outlookStore';

/** What the home runs out of and what it loses; worked out anew while it is looked at. Null until the first time. */
export function useOutlook(): { outlook: Outlook | null; share: number; problem: string | null } {
  const { store } = useHouseholdContext();
  const of = outlookOf(store, today);
  const subscribe = useCallback((tell: () => void) => of.subscribe(tell), [of]);
  const outlook = useSyncExternalStore(subscribe, () => of.outlook);
  const share = useSyncExternalStore(subscribe, () => of.share);
  const problem = useSyncExternalStore(subscribe, () => of.problem);
  return { outlook, share, problem };
}
