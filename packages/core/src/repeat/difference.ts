import type { Step } from '../look';
import { msg } from '../messages';

/** Only what differs, so that taking one change never takes back another. */
export function changedKeys(before: Step, after: Step): Partial<Step> {
  const differs = (key: keyof Step): boolean => JSON.stringify(before[key]) !== JSON.stringify(after[key]);
  return Object.fromEntries(
    (Object.keys(after) as (keyof Step)[]).filter(differs).map((key) => [key, after[key]]),
  );
}

const same = (step: Step): string => step.use.map((u) => u.product.id).join();

/**
 * What is otherwise of a step, in words: another product, more of it, minutes; empty where none of that is.
 */
export function differenceOf(before: Step, after: Step): string {
  const [was, is] = [before.use, after.use].map((use) =>
    use.reduce((sum, u) => sum + u.parts * u.product.mgPerMeasure, 0),
  );
  const more = was && is !== undefined ? Math.round((is / was - 1) * 100) : 0;
  const minutes = after.handsOnMinutes + after.waitMinutes - before.handsOnMinutes - before.waitMinutes;
  return [
    same(before) === same(after) ? null : msg`another product`,
    more === 0 ? null : msg`${Math.abs(more)} % ${more > 0 ? msg`more` : msg`less`} product`,
    minutes === 0 ? null : msg`${Math.abs(minutes)} min ${minutes > 0 ? msg`longer` : msg`shorter`}`,
  ]
    .filter((part) => part !== null)
    .join(', ');
}
