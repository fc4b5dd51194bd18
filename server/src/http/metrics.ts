import { createServer, type Server } from 'node:http';
import type { RequestHandler } from 'express';
import type pg from 'pg';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';

/** What is counted of a process, in the common text format. */
export type Metrics = {
  /** Times every request, by its route as the contract has it: no id, no name. */
  readonly time: RequestHandler;
  /** Times work on paper and files, by its kind. */
  readonly timeJob: <T>(kind: string, work: () => Promise<T>) => Promise<T>;
  /** Counts an answer that may be held, by where it came from. */
  readonly heldFrom: (source: HeldFrom) => void;
  readonly text: () => Promise<string>;
};

/** Where an answer that may be held came from: the process's memory, the standby, the database itself. */
export type HeldFrom = 'memory' | 'standby' | 'database';

/** Seconds; an answer is quick below the first and slow beyond the last but two. */
const BUCKETS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10];

type Watched = {
  readonly pool: pg.Pool;
  /** Lines that are held open to tell of changes. */ readonly listeners: () => number;
  /** Pieces of work that wait for a thread. */ readonly waiting: () => number;
};

/** Measures of one process: requests, the pool, open lines, work that waits, and the process itself. */
export function openMetrics({ pool, listeners, waiting }: Watched): Metrics {
  const register = new Registry();
  collectDefaultMetrics({ register });
  const gauge = (name: string, help: string, value: () => number): void =>
    void new Gauge({
      name,
      help,
      registers: [register],
      collect() {
        this.set(value());
      },
    });
  gauge('toile_db_connections', 'Connections to the database', () => pool.totalCount);
  gauge('toile_db_connections_idle', 'Connections to the database that lie idle', () => pool.idleCount);
  gauge('toile_db_waiting', 'Requests that wait for a connection', () => pool.waitingCount);
  gauge('toile_live_lines', 'Lines held open to tell of changes', listeners);
  gauge('toile_jobs_waiting', 'Pieces of work that wait for a thread', waiting);
  const requests = new Histogram({
    name: 'toile_request_seconds',
    help: 'Time to answer, by route and status',
    labelNames: ['method', 'route', 'status'] as const,
    buckets: BUCKETS,
    registers: [register],
  });
  const jobs = new Histogram({
    name: 'toile_job_seconds',
    help: 'Time of work on paper and files, waiting included',
    labelNames: ['kind'] as const,
    buckets: BUCKETS,
    registers: [register],
  });
  const held = new Counter({
    name: 'toile_held_answers_total',
    help: 'Answers that may be held, by where they came from',
    labelNames: ['source'] as const,
    registers: [register],
  });
  return {
    time: (req, res, next) => {
      const end = requests.startTimer({ method: req.method });
      res.on('finish', () => end({ route: routeOf(req.route), status: String(res.statusCode) }));
      next();
    },
    timeJob: async (kind, work) => {
      const end = jobs.startTimer({ kind });
      try {
        return await work();
      } finally {
        end();
      }
    },
    heldFrom: (source) => held.inc({ source }),
    text: () => register.metrics(),
  };
}

/** The path of a route as it is written, with its names; what no route took is one thing. */
function routeOf(route: unknown): string {
  const path = route !== null && typeof route === 'object' && 'path' in route ? route.path : null;
  return typeof path === 'string' ? path : 'none';
}

/** Serves the measures on a port of their own, on loopback: they are the operator's. */
export function serveMetrics(metrics: Metrics, port: number): Server {
  const server = createServer((req, res) => {
    if (req.method !== 'GET' || req.url !== '/metrics') return void res.writeHead(404).end();
    metrics.text().then(
      (text) => res.writeHead(200, { 'content-type': 'text/plain; version=0.0.4' }).end(text),
      () => res.writeHead(500).end(),
    );
  });
  return server.listen(port, '127.0.0.1');
}
