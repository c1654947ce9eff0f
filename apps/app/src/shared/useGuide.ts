import { guideOf, type KeepingGuide } from '@ours/core';
import { useHousehold } from './HouseholdProvider';

/** How long things keep in this home: its own rules, else the published ones. */
export const useGuide = (): KeepingGuide => useHousehold(({ state }) => guideOf(state));
