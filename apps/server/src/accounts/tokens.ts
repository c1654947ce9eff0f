import { createHash, randomBytes, randomInt } from 'node:crypto';

const INVITATION_LETTERS = '23456789ACDEFHJKMNPRTWXY';

export const newSessionToken = (): string => randomBytes(32).toString('base64url');

/** Only hashes are stored: whoever reads the table cannot sign in with it. */
export const hashToken = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Twelve letters in three groups, easy to read aloud; 24^12 possibilities. */
export function newInvitationCode(): string {
  const letters = Array.from({ length: 12 }, () => INVITATION_LETTERS[randomInt(INVITATION_LETTERS.length)]);
  return [0, 4, 8].map((at) => letters.slice(at, at + 4).join('')).join('-');
}

export const hashInvitation = (typed: string): string => hashToken(typed.toUpperCase().replace(/[^0-9A-Z]/g, ''));
