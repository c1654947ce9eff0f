/** A maker's batch, as printed; of what was poured together there are several. */
import { foldText } from '../base';

/** Between the batches of what was poured together. */
export const BETWEEN_BATCHES = ' + ';
/** Stands for a part of which nobody wrote the batch down. */
export const UNKNOWN_BATCH = '?';

/** The batches of a lot; `?` where one is not known. */
export const partsOfBatch = (batch: string | null | undefined): string[] =>
  batch ? batch.split(BETWEEN_BATCHES) : [UNKNOWN_BATCH];

/** A batch as it is compared: without blanks, dots, strokes and hyphens, in capitals. */
export const batchKey = (batch: string): string =>
  foldText(batch)
    .replace(/[^\p{L}\p{N}]/gu, '')
    .toUpperCase();
