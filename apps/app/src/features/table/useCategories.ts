import { useHousehold } from '@/shared/HouseholdProvider';

/** The categories of the home, the one of most things first. */
export function useCategories(): { name: string; things: number }[] {
  return useHousehold(({ state, version }) => {
    const uses = new Map<string, number>();
    for (const item of state.all('item')) uses.set(item.category, (uses.get(item.category) ?? 0) + 1);
    uses.delete('');
    const all = [...uses]
      .map(([name, things]) => ({ name, things }))
      .sort((a, b) => b.things - a.things || (a.name < b.name ? -1 : 1));
    return { all, version };
  }).all;
}
