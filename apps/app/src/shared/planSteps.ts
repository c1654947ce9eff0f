import type { Step } from '@/kit/layout/StepNav';

/** Setting a space up, in the order of the work: on paper, on the floor, with boxes, as a whole, at the shop. */
export const planSteps = (spaceId: string): Step[] => [
  { path: `/space/${spaceId}/measure`, label: 'Measure' },
  { path: `/space/${spaceId}/sort`, label: 'Sort' },
  { path: `/space/${spaceId}/fit`, label: 'Try' },
  { path: `/space/${spaceId}/mix`, label: 'Plan' },
  { path: `/space/${spaceId}/get`, label: 'Get' },
];
