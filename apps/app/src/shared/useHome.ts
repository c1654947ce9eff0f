import { useHousehold, useHouseholdContext } from './HouseholdProvider';

/** The home's units and money. */
export function useHome(): { unit: 'metric' | 'inch'; currency: string } {
  const { me } = useHouseholdContext();
  return useHousehold(({ state }) => {
    const home = state.get('household', me.householdId);
    return { unit: home?.lengthUnit ?? 'metric', currency: home?.currency ?? 'EUR' };
  });
}
