import { chosenLanguage } from '../data/language';
import type { fittingJobs } from './fittingJobs';
import type { paintJobs } from './paintJobs';
import type { photoJobs } from './photoJobs';
import type { planJobs } from './planJobs';
import type { shadeJobs } from './shadeJobs';
import { workerFor } from './rpc';

/**
 * Built by scripts/lib/workers.mjs: what they share is fetched once. Each is told its language by its name.
 */
const started = (name: 'fit' | 'shade' | 'paint' | 'plan' | 'photo'): Worker =>
  new Worker(`/workers/${name}.worker.js`, { type: 'module', name: chosenLanguage() });

/** Fits looks, away from the page. */
export const askFitting = workerFor<typeof fittingJobs>(() => started('fit'));
/** Compares the kit with a skin. */
export const askShades = workerFor<typeof shadeJobs>(() => started('shade'));
/** Plans a party's day. */
export const askPlan = workerFor<typeof planJobs>(() => started('plan'));
/** Paints faces. */
export const askPaint = workerFor<typeof paintJobs>(() => started('paint'));

/** Measures photographs, and cuts them in halves. */
export const askPhoto = workerFor<typeof photoJobs>(() => started('photo'));

export { Stopped } from './rpc';
export { useWork, type Work } from './useWork';
