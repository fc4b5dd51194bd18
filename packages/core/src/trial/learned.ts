import { Type, type Static } from '@sinclair/typebox';
import type { Chart, Step } from '../look';
import { asKept, msg, plural, term } from '../messages';
import { closed, InstantSchema, oneOf, TextSchema, UuidSchema } from '../schema';
import { TRIAL_ZONES, type TrialZone } from './measures';
import { isAlike, trialZoneWords } from './outlook';
import { habitProposals, type WorkedHabit } from './habits';
import type { LearnedProposal } from './learnedProposal';
import {
  changeWorth,
  LEAST_GAIN,
  failureRate,
  speaksAgain,
  type FailureRate,
  type Refused,
  type Strength,
  type Worn,
} from './proposals';
import { skinGroupOf, type SkinGroup } from './skinGroup';
import type { Decided, Question } from './trial';
import { stepOnZone, wornByZone, wornTold } from './wearCheck';
import type { WearGroup } from './wearGroups';
import { settingWords, wearSettingOf, type PlaceSetting } from './wearSetting';

export const LEARNED_ANSWERS = ['not now', 'never', 'again'] as const;
const STRENGTHS = ['none', 'hint', 'strong'] as const satisfies readonly Strength[];

/** What was answered to a proposal; the newest speaks. */
export const LearnedAnswerSchema = Type.Object(
  {
    id: UuidSchema,
    key: Type.String({
      minLength: 1,
      maxLength: 600,
      description: 'place, what stands there, and what was offered',
    }),
    answer: oneOf(LEARNED_ANSWERS),
    words: Type.String({ minLength: 1, maxLength: 600, description: 'what was proposed, as it was said' }),
    failed: Type.Integer({ minimum: 0 }),
    worn: Type.Integer({ minimum: 0 }),
    strength: oneOf(STRENGTHS),
    at: InstantSchema,
    by: TextSchema,
  },
  closed,
);
export type LearnedAnswer = Static<typeof LearnedAnswerSchema>;

/** What proposals are made from. */
export type LearnedFrom = {
  readonly wears: readonly WearGroup[];
  /** Lines the kit has, as they are named in wears. */ readonly lines: ReadonlySet<string>;
  readonly decisions: readonly StudioDecision[];
  readonly answers: readonly LearnedAnswer[];
  /** How charts were really worked, against their plans. */ readonly habits: readonly WorkedHabit[];
};
/**
 * A question of products decided for everybody, or for skin like that of the client it was tried on, where it
 * was judged.
 */
export type StudioDecision = {
  readonly question: Question;
  readonly decided: Decided;
  readonly skin: SkinGroup;
  readonly zones: readonly TrialZone[];
};

/** So many at most at one fit, and never at the chair. */
export const MOST_LEARNED = 3;

/**
 * What a studio's evidence proposes for a chart, the most worth first: another line where what stands did not
 * hold the hours on three looked-at wears or more and the other surely fails less; and what was decided for
 * everybody after half-face trials. Refused, a proposal is silent until there is twice the news; refused for
 * good, for good.
 */
export function learnedProposals(chart: Chart, from: LearnedFrom): LearnedProposal[] {
  const worn = wornByZone(chart);
  const byZone = TRIAL_ZONES.flatMap((zone) => {
    const now = worn[zone];
    const step = stepOnZone(chart, zone);
    return now === undefined || !step ? [] : fromWears(chart, zone, now, step, from);
  });
  // One offer a line: where several places ask for it the surest speaks.
  const best = new Map<string, (typeof byZone)[number]>();
  for (const one of byZone) {
    const known = best.get(`${one.now} ${one.offer}`);
    if (!known || one.worth > known.worth) best.set(`${one.now} ${one.offer}`, one);
  }
  const decided = from.decisions.flatMap((one) => fromDecision(chart, one));
  const lines = [...decided, ...best.values()].filter((one) => from.lines.has(one.offer));
  const all: readonly Weighed[] = [...lines, ...habitProposals(chart, from.habits)];
  return all
    .filter((one) =>
      [one, ...(one.wider ?? [])].every((told) =>
        speaksAgain(told, one.strength, refusedOf(told.key, from.answers)),
      ),
    )
    .sort((a, b) => b.worth - a.worth || (a.key < b.key ? -1 : 1))
    .slice(0, MOST_LEARNED)
    .map(({ worth: _worth, wider: _wider, ...one }) => one);
}

type Weighed = LearnedProposal & {
  readonly worth: number;
  /**
   * The same offer made more widely, with its counts there: refused there, it is refused here until there is
   * news there.
   */
  readonly wider?: readonly { readonly key: string; readonly failed: number; readonly worn: number }[];
};

function fromWears(
  chart: Chart,
  zone: TrialZone,
  now: string,
  step: Step,
  { wears, lines, answers }: LearnedFrom,
): Weighed[] {
  const hours = chart.occasion.hoursToLast;
  const known = settingsKnown(wears, zone, now, hours, settingAt(chart, zone));
  const others = [...new Set(known[0]!.rows.map((row) => row.productId))].filter(
    (line) => line !== now && lines.has(line),
  );
  return others.flatMap((offer): Weighed[] => {
    const at = known.findIndex(({ rows }) => failureRate(offer, rows).worn > 0);
    if (at < 0) return [];
    const { setting, rows, rate } = known[at]!;
    // What the other was not looked at on is no reason to pass over what this one does there.
    const here = known[0]!;
    if (at > 0 && here.rate.mean - failureRate(offer, here.rows).mean < LEAST_GAIN) return [];
    const told = settingWords(setting);
    const [key, ...wider] = known.slice(at).map((one) => ({
      key: keyOf(zone, now, offer, one.setting),
      failed: one.rate.failed,
      worn: one.rate.worn,
    }));
    if (!key) return [];
    const other = failureRate(offer, rows);
    const { strength, chance, gain } = changeWorth(
      rate,
      other,
      answers.some((one) => one.key === key.key),
    );
    if (strength === 'none') return [];
    const place = [trialZoneWords(zone), ...(told === '' ? [] : [told])].join(', ');
    return [
      {
        key: key.key,
        stepId: step.id,
        now: wornTold(now),
        offer,
        change: { kind: 'line' },
        strength,
        failed: rate.failed,
        worn: rate.worn,
        says: msg`${wornTold(now)} did not hold ${hours} h on ${rate.failed} of ${rate.worn} looked-at wears (${place}); ${offer} failed on ${other.failed} of ${other.worn}. ${strength === 'strong' ? msg`That is strong.` : msg`A hint.`}`,
        against: againstOf(rate, other),
        worth: gain * chance,
        wider,
      },
    ];
  });
}

const settingAt = (chart: Chart, zone: TrialZone): PlaceSetting => {
  const { skin, climate } = wearSettingOf(chart);
  return { skin: skin[zone] ?? null, climate };
};

/** A setting and all wider ones, the narrowest first. */
function widening(setting: PlaceSetting): PlaceSetting[] {
  const all = [setting, { ...setting, climate: null }, { skin: null, climate: null }];
  return all.filter((one, i) => all.findIndex((same) => settingWords(same) === settingWords(one)) === i);
}
const keyOf = (zone: TrialZone, now: string, offer: string, setting: PlaceSetting): string =>
  asKept(() => [zone, now, offer, settingWords(setting)].filter((part) => part !== '').join(' | '));

/** So many looked-at wears are enough to speak of a setting by itself. */
const ENOUGH = 3;

type Known = {
  readonly setting: PlaceSetting;
  readonly rows: readonly Worn[];
  readonly rate: FailureRate;
};

/**
 * What is known of what stands there, from the narrowest setting that was looked at often enough to the
 * widest: on such skin on such days, on such skin on any, at all. What lies outside a setting still speaks,
 * as what the narrower leans on.
 */
function settingsKnown(
  wears: readonly WearGroup[],
  zone: TrialZone,
  now: string,
  hours: number,
  asked: PlaceSetting,
): readonly Known[] {
  const tried = widening(asked).map((setting): Known => {
    const rows = exposures(wears, zone, hours, setting);
    return { setting, rows, rate: failureRate(now, rows) };
  });
  const enough = tried.findIndex(({ rate }) => rate.worn >= ENOUGH);
  return tried.slice(enough < 0 ? tried.length - 1 : enough);
}

function againstOf(now: FailureRate, other: FailureRate): string {
  const held = now.worn - now.failed;
  const few =
    other.worn < 3 ? msg`; ${plural(other.worn)`one wear|${other.worn} wears`} of the other is little` : '';
  return held > 0
    ? msg`Against it: it held on ${held} of them${few}.`
    : msg`Against it: the days were no random choice${few}.`;
}

/**
 * Whether each wear held the hours that are asked, as far as it was watched; a zone's own in a setting, and
 * the same line elsewhere.
 */
function exposures(
  wears: readonly WearGroup[],
  zone: TrialZone,
  hours: number,
  setting: PlaceSetting,
): Worn[] {
  const lips = zone === 'mouth';
  return wears.flatMap(({ zone: where, worn, skin, climate, good, bad, count, weight }): Worn[] => {
    if (worn === null || (where === 'mouth') !== lips) return [];
    const failed = bad !== null && bad <= hours;
    // Watched for less and never seen failing, it says nothing about these hours.
    if (!failed && good < hours) return [];
    const one: Worn = {
      productId: worn,
      failed,
      daysAgo: 0,
      matches: where === zone && isAlike({ skin, climate }, setting),
      weight: weight / count,
    };
    return Array.from({ length: count }, () => one);
  });
}

/** What was decided for everybody, or for such skin, speaks where a chart still has the other. */
function fromDecision(chart: Chart, { question, decided, skin, zones }: StudioDecision): Weighed[] {
  if (question.aspect !== 'product' || (decided.choice !== 'a' && decided.choice !== 'b')) return [];
  if (decided.scope === 'client') return [];
  if (decided.scope === 'skinType' && skinGroupOf(chart.client.features, zones) !== skin) return [];
  const [offer, loser] =
    decided.choice === 'a' ? [question.a.words, question.b.words] : [question.b.words, question.a.words];
  const step = chart.steps.find(
    (one) =>
      one.variant === undefined &&
      one.use.some(({ product }) => `${product.maker} ${product.line}` === loser),
  );
  if (!step) return [];
  return [
    {
      key: `decided | ${decided.id}`,
      stepId: step.id,
      now: loser,
      offer,
      change: { kind: 'line' },
      strength: 'strong',
      // A decision does not grow: refused, it stays silent until it is decided anew.
      failed: 0,
      worn: 0,
      says: msg`${question.text} Decided by ${decided.by} ${decided.scope === 'studio' ? msg`for everybody` : msg`for ${term(skin)} skin`}: ${offer}${decided.reason ? `, ${decided.reason}` : ''}.`,
      against: decided.follows
        ? msg`It goes with the trials.`
        : msg`It goes against what the trials counted.`,
      worth: 1,
    },
  ];
}

/**
 * What was refused of a proposal, if its newest answer is a refusal: how often since it was last let speak.
 */
export function refusedOf(key: string, answers: readonly LearnedAnswer[]): Refused | null {
  const mine = answers.filter((one) => one.key === key).sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const since = mine.slice(mine.map((one) => one.answer).lastIndexOf('again') + 1);
  const last = since.at(-1);
  if (!last) return null;
  return {
    failedThen: last.failed,
    wornThen: last.worn,
    strengthThen: last.strength,
    times: since.length,
    forGood: last.answer === 'never',
  };
}

/** Answers of good that still stand, newest first: to be taken back. */
export function silenced(answers: readonly LearnedAnswer[]): LearnedAnswer[] {
  const keys = [...new Set(answers.map((one) => one.key))];
  return keys
    .flatMap((key) => {
      const last = answers
        .filter((one) => one.key === key)
        .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
        .at(-1);
      return last?.answer === 'never' ? [last] : [];
    })
    .sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
}
