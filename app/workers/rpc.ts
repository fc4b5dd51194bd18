import { speak } from '@toile/languages/speak';
import { interning } from './intern';

/**
 * Work a worker can be asked for, by name; the second argument is told how far it is, 0 to 1, and the best so
 * far.
 */
type Progress = (share: number, soFar?: unknown) => void;
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- any job's own types; each caller sees them exactly
export type Jobs = Readonly<Record<string, (request: any, progress: Progress) => unknown>>;

type Asked = { readonly id: number; readonly kind: string; readonly request: unknown };
type Said =
  | { readonly id: number; readonly share: number; readonly soFar?: unknown }
  | { readonly id: number; readonly answer: unknown }
  | { readonly id: number; readonly error: string };

/** Progress smaller than this is not worth drawing. */
const TELL_EVERY = 0.1;

/**
 * Called in a worker: answers what is asked of its jobs, one after the other. What it was asked with before
 * is known again.
 */
export function serveJobs(jobs: Jobs): void {
  const known = interning();
  const spoken = speak(self.name === 'id' ? 'id' : 'en');
  self.onmessage = async ({ data: { id, kind, request } }: MessageEvent<Asked>) => {
    const say = (said: Said): void => self.postMessage(said);
    let told = 0;
    const progress = (share: number, soFar?: unknown): void => {
      if (share - told < TELL_EVERY && soFar === undefined) return;
      told = share;
      say({ id, share, soFar });
    };
    try {
      await spoken;
      say({ id, answer: await jobs[kind]!(known(request), progress) });
    } catch (error) {
      say({ id, error: error instanceof Error ? error.message : String(error) });
    }
  };
}

export type AskOptions<Answer> = {
  /** How far it is, and the best so far where the work tells it. */
  readonly onProgress?: (share: number, soFar?: Answer) => void;
  readonly signal?: AbortSignal;
};
export type Ask<J extends Jobs> = <K extends keyof J & string>(
  kind: K,
  request: Parameters<J[K]>[0],
  options?: AskOptions<Awaited<ReturnType<J[K]>>>,
) => Promise<Awaited<ReturnType<J[K]>>>;

/** Thrown when whoever asked has stopped the work. */
export class Stopped extends Error {}

/**
 * The page's side of a worker: started when first asked, stopped and started anew when work is given up
 * midway.
 */
export function workerFor<J extends Jobs>(start: () => Worker): Ask<J> {
  type Waiting = {
    readonly resolve: (answer: never) => void;
    readonly reject: (error: Error) => void;
    readonly onProgress?: (share: number, soFar?: never) => void;
  };
  let worker: Worker | null = null;
  let lastId = 0;
  const waiting = new Map<number, Waiting>();
  const giveUp = (error: Error): void => {
    worker?.terminate();
    worker = null;
    for (const job of waiting.values()) job.reject(error);
    waiting.clear();
  };
  const started = (): Worker => {
    if (worker) return worker;
    worker = start();
    worker.onmessage = ({ data }: MessageEvent<Said>) => {
      const job = waiting.get(data.id);
      if (!job) return;
      // Of the same type as what it answers in the end.
      if ('share' in data) return job.onProgress?.(data.share, data.soFar as never);
      waiting.delete(data.id);
      if ('error' in data) job.reject(new Error(data.error));
      // What a job answers is what it was declared to answer: the message in between cannot say so.
      else job.resolve(data.answer as never);
    };
    worker.onerror = () => giveUp(new Error('This could not be worked out on this device. Reload the page.'));
    return worker;
  };
  return (kind, request, { onProgress, signal } = {}) =>
    new Promise((resolve, reject) => {
      if (signal?.aborted) return reject(new Stopped());
      const id = ++lastId;
      waiting.set(id, { resolve, reject, onProgress });
      signal?.addEventListener('abort', () => waiting.has(id) && giveUp(new Stopped()), { once: true });
      started().postMessage({ id, kind, request } satisfies Asked);
    });
}
