export { AddBins } from './AddBins';
export { NookPanel } from './NookPanel';
export { SpaceCard } from './SpaceCard';
export { RoomsDialog } from './RoomsDialog';
export { useMoveBin } from './useMoveBin';
