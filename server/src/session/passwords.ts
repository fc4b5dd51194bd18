import { hash, verify } from '@node-rs/argon2';

/** argon2id, 19 MiB, two passes: about 20 ms. */
const OPTIONS = { memoryCost: 19456, timeCost: 2, parallelism: 1 };

/** What stands where an account has no password yet: no password fits it. */
export const NO_PASSWORD = 'none';

export function hashPassword(password: string): Promise<string> {
  return hash(password, OPTIONS);
}

/**
 * True when the password is the account's; an unknown account, and one without a password, cost the same time
 * as a wrong password.
 */
export async function passwordFits(stored: string | undefined, password: string): Promise<boolean> {
  const set = stored !== undefined && stored !== NO_PASSWORD;
  const fits = await verify(set ? stored : await decoy(), password);
  return set && fits;
}

let decoyHash: Promise<string> | null = null;
function decoy(): Promise<string> {
  decoyHash ??= hashPassword('no account has this password');
  return decoyHash;
}
