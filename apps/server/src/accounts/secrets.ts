import { randomBytes } from 'node:crypto';

const SECRET = /^[A-Za-z0-9_-]{32}$/;
const SECRET_BYTES = 24;

/** 192 random bits for an address that needs no sign-in. Only what it hashes to (`hashToken`) is kept. */
export const newSecret = (): string => randomBytes(SECRET_BYTES).toString('base64url');

/** Whether a text can be such a secret at all. */
export const mayBeSecret = (text: string): boolean => SECRET.test(text);
