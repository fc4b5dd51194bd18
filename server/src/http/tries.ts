import { rateLimit, type RateLimitRequestHandler } from 'express-rate-limit';
import { ProblemError } from './problem';

/** So many tries that fail from one address in so long; those that succeed are not counted. */
export type TryLimit = { readonly windowMs: number; readonly tries: number };

export function limitTries({ windowMs, tries }: TryLimit): RateLimitRequestHandler {
  return rateLimit({
    windowMs,
    limit: tries,
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    skipSuccessfulRequests: true,
    handler: () => {
      throw new ProblemError('too-many-tries');
    },
  });
}
