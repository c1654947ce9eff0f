import { v4, v5 } from 'uuid';

/** Any fixed id: names below it are ours (RFC 9562, section 5.5). */
const OURS = '7d0f4b52-2f0a-4c0e-9a53-0f6c2f1b9a10';

/**
 * The same id for the same words, on every device. It is the name-based id of RFC 9562 (SHA-1), written as one of version 4: those
 * are what the server takes.
 */
export const idOfWords = (words: string): string => v4({ random: v5(words, OURS, new Uint8Array(16)) });
