export { AddBins } from './AddBins';
export { NookPanel } from './NookPanel';
export { SpaceCard } from './SpaceCard';
