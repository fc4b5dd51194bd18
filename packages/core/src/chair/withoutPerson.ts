import { PLAIN_FEATURES, TEMPLATE } from '../face';
import { CHART_FORMAT, type Chart, type Step } from '../look';
import { msg } from '../messages';
import type { RecordedEvent } from './event';

/** What somebody is called whose person was taken out of a chart. */
export const SOMEBODY = 'Somebody';

/**
 * A chart without the person it was made for, whose place `nobodyId` takes: no name, face, features,
 * sensitivities or tests, and none of the words that were written about them; what was used, where, how much
 * and in which order stays, on a skin of that colour.
 */
export function withoutPerson(chart: Chart, nobodyId: string): Chart {
  const nameless = withoutName(chart.client.name);
  const { hash: _hash, adaptations: _why, ...rest } = chart;
  const { place: _place, theme: _theme, ...occasion } = chart.occasion;
  return {
    ...rest,
    format: CHART_FORMAT,
    reason: '',
    client: {
      id: nobodyId,
      name: SOMEBODY,
      landmarks: TEMPLATE,
      features: PLAIN_FEATURES,
      skin: chart.client.skin,
      readingId: null,
      sensitivities: [],
    },
    occasion: { ...occasion, ...(occasion.outfit ? { outfit: occasion.outfit.map(wornOnly) } : {}) },
    look: { ...chart.look, name: nameless(chart.look.name) },
    variants: chart.variants.map((variant) => ({ ...variant, name: nameless(variant.name) })),
    steps: chart.steps.map((step) => stepWithoutWords({ ...step, title: nameless(step.title) })),
    findings: chart.findings.map((finding) => ({ ...finding, why: '' })),
  };
}

/** Shorter than this a part of a name is also a word. */
const NAME_LETTERS = 3;

/** Puts 'Somebody' where a text names a person, whole or by one part of the name. */
export function withoutName(name: string): (text: string) => string {
  const parts = [name, ...name.split(/\s+/)]
    .map((part) => part.trim())
    .filter((part) => part.length >= NAME_LETTERS)
    .map((part) => part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  if (parts.length === 0) return (text) => text;
  const named = new RegExp(`(^|[^\\p{L}\\p{N}])(?:${parts.join('|')})(?![\\p{L}\\p{N}])`, 'giu');
  return (text) => text.replace(named, `$1${SOMEBODY}`);
}

/** What happened at the chair, without what was written of it. */
export function eventWithoutWords(event: RecordedEvent): RecordedEvent {
  return event.kind === 'deviation' ? { ...event, deviation: { ...event.deviation, note: '' } } : event;
}

const wornOnly = ({ lab }: NonNullable<Chart['occasion']['outfit']>[number], i: number) => ({
  name: msg`colour ${i + 1}`,
  lab,
});

function stepWithoutWords(step: Step): Step {
  return {
    ...step,
    note: '',
    ...(step.done
      ? {
          done: {
            ...step.done,
            deviations: step.done.deviations.map((deviation) => ({ ...deviation, note: '' })),
          },
        }
      : {}),
  };
}
