import { hash, verify } from '@node-rs/argon2';

/** argon2id, 19 MiB, two passes: about 20 ms. */
const OPTIONS = { memoryCost: 19456, timeCost: 2, parallelism: 1 };

export function hashPassword(password: string): Promise<string> {
  return hash(password, OPTIONS);
}

/** True when the password is the account's; an unknown account costs the same time as a wrong password. */
export async function passwordFits(stored: string | undefined, password: string): Promise<boolean> {
  const fits = await verify(stored ?? (await decoy()), password);
  return stored !== undefined && fits;
}

let decoyHash: Promise<string> | null = null;
function decoy(): Promise<string> {
  decoyHash ??= hashPassword('no account has this password');
  return decoyHash;
}
