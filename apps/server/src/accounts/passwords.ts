import { hash, verify } from '@node-rs/argon2';

/** Argon2id with the first parameters of the OWASP password storage cheat sheet: 19 MiB, 2 passes, 1 lane (from memory). */
const OPTIONS = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPassword = (password: string): Promise<string> => hash(password, OPTIONS);

/** Takes as long for an account that does not exist, so that nobody learns which e-mails have one. */
export async function passwordMatches(storedHash: string | null, password: string): Promise<boolean> {
  if (storedHash === null) {
    await hash(password, OPTIONS);
    return false;
  }
  return verify(storedHash, password);
}
