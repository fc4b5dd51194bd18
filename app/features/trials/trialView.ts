import {
  aSideAt,
  GRADE_WORDS,
  listed,
  messages,
  msg,
  stepsOfVariant,
  swapProduct,
  swapSchool,
  swapStep,
  trialZoneWords,
  type Chart,
  type Judge,
  type OpenNow,
  type SchoolAnswers,
  type SeenHalf,
  type Side,
  type Step,
  type Substitute,
  type Swap,
  type Trial,
  type TrialAspect,
  type TrialMeasure,
  type TrialNow,
  type TrialZone,
} from '@toile/core';
import type { TrialAnswer, TrialAsk } from '@toile/contract';
import { capital } from '../words/capital';
import { isGraded } from './halfLook';

export const MEASURE_WORDS: Readonly<Record<TrialMeasure, string>> = messages({
  shine: 'shine',
  creasing: 'creasing',
  coverage: 'coverage kept',
  transfer: 'what comes off',
  comfort: 'comfort',
  camera: 'to the camera',
  flash: 'under the flash',
  colour: 'colour',
});
export const ASPECT_WORDS: Readonly<Record<TrialAspect, string>> = messages({
  product: 'a product',
  tool: 'a tool',
  technique: 'how it is worked',
  step: 'with and without',
  school: 'a way of doing',
});
export const JUDGE_WORDS: Readonly<Record<Judge, string>> = messages({
  client: 'the client',
  artist: 'whoever made it up',
  other: 'somebody else',
});
/** What is to be compared, as far as it is chosen. */
export type Choosing = {
  readonly aspect: TrialAspect;
  readonly stepId: string | null;
  readonly substitute: Substitute | null;
  readonly tool: Step['tool'] | null;
  readonly technique: Step['technique'] | null;
  readonly answers: Partial<SchoolAnswers> | null;
};

/** Steps of the plan that may be tried in a way. */
export function stepsFor(chart: Chart, aspect: TrialAspect): Step[] {
  const plan = stepsOfVariant(chart.steps, null);
  return aspect === 'product' ? plan.filter((step) => step.use.length > 0) : plan;
}

/** What differs between the halves, and how it is asked for; null while something is still to be chosen. */
export function chosen(
  chart: Chart,
  choosing: Choosing,
): { readonly swap: Swap; readonly ask: TrialAsk } | null {
  const { aspect, stepId, substitute, tool, technique, answers } = choosing;
  if (aspect === 'school') {
    const swap = answers && swapSchool(chart, answers);
    return swap && answers ? { swap, ask: { aspect, answers } } : null;
  }
  if (stepId === null) return null;
  switch (aspect) {
    case 'product': {
      const swap = substitute && swapProduct(chart, stepId, substitute);
      if (!swap || !substitute) return null;
      const parts = substitute.parts.map(({ product, unit, pumps }) => ({
        productId: product.id,
        unitId: unit.id,
        pumps,
      }));
      return { swap, ask: { aspect, stepId, parts, doseFactor: substitute.doseFactor } };
    }
    case 'tool': {
      const swap = tool && swapStep(chart, stepId, { tool });
      return swap && tool ? { swap, ask: { aspect, stepId, tool } } : null;
    }
    case 'technique': {
      const swap = technique && swapStep(chart, stepId, { technique });
      return swap && technique ? { swap, ask: { aspect, stepId, technique } } : null;
    }
    case 'step': {
      const swap = swapStep(chart, stepId, 'left out');
      return swap ? { swap, ask: { aspect, stepId } } : null;
    }
  }
}

/** Hours offered, as far as a day lasts. */
export const HOURS = [1, 2, 4, 6, 8, 10, 12] as const;
export const hoursFor = (lasts: number): number[] => {
  const within = [2, 4, 6, 8].filter((hour) => hour <= Math.max(2, lasts));
  return within;
};

/** 'Shine at forehead and nose, judged by the client after 2, 4 and 8 h'. */
export function declaredWords({ declared }: Pick<TrialAnswer, 'declared'>): string {
  const zones = listed(declared.zones.map(trialZoneWords));
  return msg`${capital(MEASURE_WORDS[declared.measure])}: ${zones}, judged by ${JUDGE_WORDS[declared.by]} after ${listed(declared.hours.map(String))} h${declared.design === 'places' ? msg`; each place has a draw of its own` : ''}`;
}

export const STATE_WORDS: Readonly<Record<TrialNow['state'], string>> = messages({
  drawn: 'drawn, not put on yet',
  worn: 'being worn, sealed',
  ended: 'ended early',
  judged: 'judged, not decided yet',
  decided: 'decided',
});

/** A grade of a measure in words; a colour as its difference. */
export function gradeWords(measure: TrialMeasure, value: number): string {
  return isGraded(measure) ? (GRADE_WORDS[measure][value] ?? String(value)) : value.toFixed(1);
}

export type LookRow = {
  readonly hour: number;
  readonly zone: string;
  readonly measure: TrialMeasure;
  readonly by: Judge;
  readonly left: string;
  readonly right: string;
  /** After the last planned hour. */ readonly late: boolean;
  /** By the declared measure and judge, in a declared place and hour. */ readonly counts: boolean;
};

/** What was seen of both halves, hour by hour; what is counted first. */
export function lookRows(
  { declared }: Pick<TrialAnswer, 'declared'>,
  { seen, seenLater }: Pick<TrialNow, 'seen' | 'seenLater'>,
): LookRow[] {
  const rows = new Map<string, { one: SeenHalf; sides: Partial<Record<Side, number>> }>();
  const later = new Set(seenLater);
  for (const one of [...seen, ...seenLater]) {
    const key = `${one.hour} ${one.zone} ${one.measure} ${one.by}`;
    const row = rows.get(key) ?? { one, sides: {} };
    rows.set(key, { ...row, sides: { ...row.sides, [one.side]: one.value } });
  }
  const words = (measure: TrialMeasure, value: number | undefined): string =>
    value === undefined ? msg`not looked at` : gradeWords(measure, value);
  return [...rows.values()]
    .map(({ one, sides }): LookRow => ({
      hour: one.hour,
      zone: one.zone,
      measure: one.measure,
      by: one.by,
      left: words(one.measure, sides.left),
      right: words(one.measure, sides.right),
      late: later.has(one),
      counts:
        !later.has(one) &&
        one.measure === declared.measure &&
        one.by === declared.by &&
        declared.zones.some((zone) => zone === one.zone),
    }))
    .sort((a, b) => Number(b.counts) - Number(a.counts) || a.hour - b.hour || (a.zone < b.zone ? -1 : 1));
}

/** The letter of what lies on a side of a place. */
export const letterAt = ({ draw }: Pick<Trial, 'draw'>, side: Side, zone: TrialZone): 'A' | 'B' =>
  aSideAt(draw, zone) === side ? 'A' : 'B';

/** Whether a trial that was opened may be spoken of with its sides. */
export const isOpen = (
  trial: TrialAnswer,
  now: TrialNow,
): trial is TrialAnswer & { readonly draw: NonNullable<TrialAnswer['draw']> } =>
  trial.draw !== null && now.compared !== null;
export const openNow = (now: TrialNow): OpenNow | null =>
  now.compared === null ? null : { ...now, compared: now.compared };
