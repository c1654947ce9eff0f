export { AddBins } from './AddBins';
export { NookPanel } from './NookPanel';
export { SpaceCard } from './SpaceCard';
export { BIN_LOOK_WORDS, CHEMICAL_CAUTION, namesWords } from './words';
