import { randomUUID } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import type { RequestHandler } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

/** What stands before us may name a request; anything else is no name. */
const NAMED = /^[A-Za-z0-9._-]{8,64}$/;

/**
 * One line a request: its id, method, route, status, time. No query, body, cookie or name is ever written.
 */
export function quietLog(logger: Logger): RequestHandler {
  return pinoHttp({
    logger,
    genReqId: (req: IncomingMessage, res) => {
      const named = req.headers['x-request-id'];
      const id = typeof named === 'string' && NAMED.test(named) ? named : randomUUID();
      res.setHeader('x-request-id', id);
      return id;
    },
    serializers: {
      req: (req: { id: string; method: string; url: string }) => ({
        id: req.id,
        method: req.method,
        path: req.url.split('?')[0],
      }),
      res: (res: { statusCode: number }) => ({ status: res.statusCode }),
      err: (err: { type: string; code?: unknown }) => ({ type: err.type, code: err.code }),
    },
    autoLogging: { ignore: (req) => !(req.url ?? '').startsWith('/api') },
  });
}
