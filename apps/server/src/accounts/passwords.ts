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

let common: Promise<ReadonlySet<string>> | null = null;
/** The passwords most often found in leaks: the list of the package @zxcvbn-ts/language-common, 49,000 of them. */
const commonPasswords = (): Promise<ReadonlySet<string>> =>
  (common ??= import('@zxcvbn-ts/language-common').then(
    ({ dictionary }) => new Set(dictionary['passwords-common'] as string[]),
  ));

/** What is wrong with a password that would be guessed at once, or null. */
export async function passwordWeakness(password: string, email: string): Promise<string | null> {
  const plain = password.trim().toLowerCase();
  if (new Set(plain).size === 1) return '“Password” repeats one character; choose a longer sentence of your own.';
  const address = email.trim().toLowerCase();
  const localPart = address.split('@')[0]!;
  if (plain === address || plain === localPart)
    return '“Password” is your e-mail; choose something that nobody can look up.';
  const bare = plain.replace(/\s+/g, '');
  const list = await commonPasswords();
  if (list.has(plain) || list.has(bare))
    return '“Password” is on the list of the most common ones; choose another one.';
  return null;
}
