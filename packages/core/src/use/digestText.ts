import { fromByteArray, toByteArray } from 'base64-js';
import { emptyDigest, packDigest, unpackDigest, type UseDigest } from './useDigest';

/** A digest as it lies in a row; an empty text for one of nothing. */
export const writeDigest = (digest: UseDigest): string => (digest.asOf < 0 ? '' : fromByteArray(packDigest(digest)));
/** @throws when the text is no digest */
export const readDigest = (text: string): UseDigest => (text === '' ? emptyDigest() : unpackDigest(toByteArray(text)));
