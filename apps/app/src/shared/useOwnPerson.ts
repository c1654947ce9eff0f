import { useHousehold, useHouseholdContext } from './HouseholdProvider';

/** Who of the home's people is signed in: the one this account is linked to, else the one with its name; null: none of them. */
export function useOwnPerson(): string | null {
  const { me } = useHouseholdContext();
  return useHousehold(
    ({ state }) => me.personId ?? state.all('person').find(({ name }) => name === me.name)?.id ?? null,
  );
}
