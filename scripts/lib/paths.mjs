import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** Where build stamps and, for an ordinary user, databases are kept; never committed. */
export const stateDir = path.join(root, '.toile');
mkdirSync(stateDir, { recursive: true });

/** Where one's own studio is backed up every night, and by hand where nothing else is said. */
export const backupDir = path.join(stateDir, 'backups');

/**
 * PostgreSQL refuses to run as root, and its own user may not reach the checkout: then data lives under
 * /var/tmp.
 */
export function clusterDir(name) {
  if (process.getuid?.() !== 0) return path.join(stateDir, 'pg', name);
  const checkout = createHash('sha256').update(root).digest('hex').slice(0, 10);
  return path.join('/var/tmp', `toile-${checkout}`, name);
}
