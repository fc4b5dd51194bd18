import { createHash } from 'node:crypto';

/** What is kept of a link's secret: it is random and long, so that a plain hash cannot be turned round. */
export const hashOfSecret = (secret: string): string => createHash('sha256').update(secret).digest('hex');
