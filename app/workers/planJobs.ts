import {
  calmDay,
  explainDay,
  oneMoreBuys,
  ownMinutes,
  Planning,
  replanDay,
  simulateDay,
  waysOut,
  type Certainty,
  type DayAnswer,
  type DayChange,
  type Explained,
  type OwnMinutes,
  type PartyDay,
  type PartyPlan,
  type Replan,
  type Replanned,
  type Simulated,
  type Slacked,
  type Timed as TimedVisit,
} from '@toile/core';

/** A way out as it may be sent: in words and as what is changed. */
export type Offered = {
  readonly words: string;
  readonly changes: readonly DayChange[];
  readonly price: number;
};
export type Reasons = { readonly explained: Explained; readonly ways: readonly Offered[] };

/** A timetable with what is known of the minutes it takes. */
type ByOwn = {
  readonly day: PartyDay;
  readonly timetable: Timed;
  readonly own: { readonly plan: PartyPlan; readonly timed: readonly TimedVisit[] };
};
/** How sure, and by whose own timed visits. */
export type Sure = Simulated & { readonly known: OwnMinutes['known'] };
/** One more pair of hands, as a way out, with how likely everybody is in time with them. */
export type Helper = Offered & { readonly all: Certainty };
/** What helpers buy, beside how it is without them at its calmest. */
export type Helped = { readonly without: Certainty; readonly helpers: readonly Helper[] };

type Timed = { readonly ways: Readonly<Record<string, string>>; readonly visits: DayAnswer['visits'] };
type Progress<T> = (share: number, soFar?: T) => void;

/** How long a timetable is looked for, ms: twelve people are mostly proven in two seconds. */
const LIMIT_MS = { few: 4000, many: 12_000 } as const;
const TELL_MS = 200;
/** On the day itself nobody waits longer for a proposal, ms. */
const GO_ON_MS = 180;
const MORNINGS = 2000;
/** How long a timetable with one more pair of hands is looked for, ms. */
const ONE_MORE_MS = 1500;
/** Points a weighted minute late to expect is worth where calm is asked for. */
const CALM = 100;

export const planJobs = {
  /** Plans a day; what is best so far is told on the way. */
  plan: ({ day }: { readonly day: PartyDay }, progress: Progress<DayAnswer>): DayAnswer => {
    const limit = day.people.length <= 12 ? LIMIT_MS.few : LIMIT_MS.many;
    const planning = new Planning(day, 1, false);
    const begun = performance.now();
    let told = begun;
    for (const _ of planning.steps()) {
      planning.work++;
      const now = performance.now();
      if (now - begun > limit) break;
      if (now - told < TELL_MS) continue;
      told = now;
      progress((now - begun) / limit, planning.answer());
    }
    return planning.answer();
  },
  /** Why somebody would be late, and what would help. */
  explain: ({ day }: { readonly day: PartyDay }, progress: Progress<Reasons>): Reasons => {
    const explained = explainDay(day);
    const ways: Offered[] = [];
    progress(0.3, { explained, ways });
    for (const { words, changes, price } of waysOut(day)) {
      ways.push({ words, changes, price });
      ways.sort((a, b) => a.price - b.price);
      progress(0.3 + 0.7 * (ways.length / (ways.length + 3)), { explained, ways: [...ways] });
    }
    return { explained, ways };
  },
  /** The rest planned again around what is held, with few changes. */
  replan: ({ day, timetable }: { readonly day: PartyDay; readonly timetable: Timed }): Replanned | null =>
    replanDay(day, timetable).repair,
  /** A day under way: the same order only later, and the best with few changes. */
  goOn: ({ day, timetable }: { readonly day: PartyDay; readonly timetable: Timed }): Replan =>
    replanDay(day, timetable, { limitMs: GO_ON_MS }),
  /** How sure a timetable is as it stands, by the studio's own minutes where there are enough. */
  sure: ({ day, timetable, own }: ByOwn): Sure => {
    const { known, ...stays } = ownMinutes(own.plan, own.timed);
    return { ...simulateDay(day, timetable, { mornings: MORNINGS, ...stays }), known };
  },
  /** What one more pair of hands would buy, each as it is found. */
  oneMore: ({ day, timetable, own }: ByOwn, progress: Progress<Helped>): Helped => {
    const { known: _known, ...stays } = ownMinutes(own.plan, own.timed);
    // Held against the day made as calm as it gets without them: nobody is hired for what an earlier start
    // buys.
    const without = calmDay(day, timetable, { lateWorth: CALM, ...stays }).after.all;
    const found: Helper[] = [];
    progress(1 / 3, { without, helpers: [] });
    const options = { mornings: MORNINGS, limitMs: ONE_MORE_MS, lateWorth: CALM, ...stays };
    for (const { words, change, sure } of oneMoreBuys(day, timetable, options)) {
      found.push({ words, changes: [change], price: 0, all: sure.all });
      progress((1 + found.length) / 3, { without, helpers: [...found] });
    }
    return { without, helpers: found };
  },
  /** A timetable that bears a slow morning. */
  calm: ({ day, timetable, own }: ByOwn, progress: (share: number) => void): Slacked => {
    const { known: _known, ...stays } = ownMinutes(own.plan, own.timed);
    return calmDay(day, timetable, { lateWorth: CALM, onProgress: progress, ...stays });
  },
};
