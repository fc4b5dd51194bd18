import type { fittingJobs } from './fittingJobs';
import type { paintJobs } from './paintJobs';
import type { shadeJobs } from './shadeJobs';
import { workerFor } from './rpc';

/** Fits looks, away from the page. */
export const askFitting = workerFor<typeof fittingJobs>(() => new Worker(new URL('./fit.worker', import.meta.url)));
/** Compares the kit with a skin. */
export const askShades = workerFor<typeof shadeJobs>(() => new Worker(new URL('./shade.worker', import.meta.url)));
/** Paints faces. */
export const askPaint = workerFor<typeof paintJobs>(() => new Worker(new URL('./paint.worker', import.meta.url)));

export { Stopped } from './rpc';
export { useWork, type Work } from './useWork';
