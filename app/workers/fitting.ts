import type { FittedLook, Proposal, Refit } from '@toile/core';
import type { FittingAnswer, FittingRequest } from './fittingJobs';

type Waiting = { readonly resolve: (answer: FittingAnswer) => void; readonly reject: (error: Error) => void };

let worker: Worker | null = null;
let lastId = 0;
const waiting = new Map<number, Waiting>();

function started(): Worker {
  if (worker) return worker;
  worker = new Worker(new URL('./fit.worker', import.meta.url));
  worker.onmessage = (event: MessageEvent<{ id: number; answer?: FittingAnswer; error?: string }>) => {
    const { id, answer, error } = event.data;
    const job = waiting.get(id);
    waiting.delete(id);
    if (answer) job?.resolve(answer);
    else job?.reject(new Error(error ?? 'The fitting stopped.'));
  };
  worker.onerror = () => {
    for (const job of waiting.values()) job.reject(new Error('The fitting could not be worked out on this device. Reload the page.'));
    waiting.clear();
    worker = null;
  };
  return worker;
}

function ask(request: FittingRequest): Promise<FittingAnswer> {
  const id = ++lastId;
  return new Promise((resolve, reject) => {
    waiting.set(id, { resolve, reject });
    started().postMessage({ id, request });
  });
}

type Of<K extends FittingRequest['kind']> = Omit<Extract<FittingRequest, { kind: K }>, 'kind'>;

/** Fits a look in the worker. */
export async function runFit(request: Of<'fit'>): Promise<FittedLook> {
  const answer = await ask({ kind: 'fit', ...request });
  if (!('fit' in answer)) throw new Error('runFit: another answer came back');
  return answer.fit;
}

/** Refits a worn chart in the worker. */
export async function runRefit(request: Of<'refit'>): Promise<Refit> {
  const answer = await ask({ kind: 'refit', ...request });
  if (!('refit' in answer)) throw new Error('runRefit: another answer came back');
  return answer.refit;
}

/** Ranks the kit for one step in the worker. */
export async function runPropose(request: Of<'propose'>): Promise<readonly Proposal[]> {
  const answer = await ask({ kind: 'propose', ...request });
  if (!('propose' in answer)) throw new Error('runPropose: another answer came back');
  return answer.propose;
}
