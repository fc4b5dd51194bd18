import rateLimit from 'express-rate-limit';
import { isUuid } from '@toile/contract';
import { inStudio, type Tx } from '../db/connection';
import { hashOfSecret } from '../db/secrets';
import type { Services } from '../http/register';
import { bareHeaders, endedPage } from './page';

/** A guess at a secret is hopeless; this keeps anyone from trying, per minute and address. */
const TRIES_A_MINUTE = 60;

/** Lessons are read at home, before any mirror: the phone they were opened on keeps them. */
const KEPT = '/l';

/** A link as far as it ends: by its day, unless it stays, or taken back. */
export type Ending = { readonly expires_at: Date | null; readonly revoked_at: Date | null };

/**
 * A page behind a link whose address holds the studio and a secret: whoever has it sees the page, without
 * signing in. `pageOf` finds the link by the hash of its secret and makes the page; null, unknown, ended and
 * taken back look alike.
 */
export function registerLinkedPage<L extends Ending>(
  services: Services,
  prefix: '/s' | '/p' | '/l',
  linkOf: (tx: Tx, secretHash: string) => Promise<L | undefined>,
  pageOf: (tx: Tx, link: L) => Promise<string | null>,
): void {
  const limit = rateLimit({
    windowMs: 60_000,
    limit: TRIES_A_MINUTE,
    standardHeaders: true,
    legacyHeaders: false,
  });
  services.app.get(`${prefix}/:token`, limit, async (req, res) => {
    const [studioId = '', secret = ''] = String(req.params.token).split('.');
    const page =
      isUuid(studioId) && secret !== ''
        ? await inStudio(services.db, studioId, async (tx) => {
            const link = await linkOf(tx, hashOfSecret(secret));
            const html = link && !isOver(link, services.clock()) ? await pageOf(tx, link) : null;
            return link && html !== null ? { html, until: link.expires_at } : null;
          })
        : null;
    if (page === null) return void res.set(bareHeaders()).status(404).type('html').send(endedPage());
    res
      .set(bareHeaders(prefix === KEPT ? page : null))
      .type('html')
      .send(page.html);
  });
}

/** Whether a link shows nothing any more. */
export const isOver = ({ expires_at, revoked_at }: Ending, now: Date): boolean =>
  revoked_at !== null || (expires_at !== null && expires_at <= now);
