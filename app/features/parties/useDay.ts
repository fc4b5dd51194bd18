import { useMemo, useState } from 'react';
import {
  changedPlan,
  checkDay,
  dayOfPlan,
  judgeDay,
  visitKey,
  type PartyDay,
  type PartyPlan,
  type Pin,
  type Timed,
  type Visit,
} from '@toile/core';
import { useVisitMinutes } from '../../data/hooks';
import { useSame } from '../../data/useSame';
import { askPlan, useWork } from '../../workers';
import type { Offered } from '../../workers/planJobs';
import { moved, timetableOf, unproven, type Timetable } from './partyView';
import { todayText } from '../words/dates';
import type { PartyWork } from './usePartyPlan';

const keyOf = ({ of, task }: Pick<Visit, 'of' | 'task'>): string => visitKey(of, task);
type From<T = Timetable> = { readonly day: PartyDay; readonly timetable: T };
/** Until the studio's own minutes are here, and where none were timed. */
const NONE_TIMED: readonly Timed[] = [];

type Own = { readonly plan: PartyPlan; readonly timed: readonly Timed[] };

/**
 * A party's timetable: found, changed by hand, held, planned again around what is held, made calmer, kept.
 */
export function useDay(work: PartyWork) {
  const { party, plan, keep } = work;
  const [draft, setDraft] = useState<Timetable | null>(null);
  const [held, setHeld] = useState<readonly Pin[] | null>(null);
  const pins = held ?? plan.held;
  const shownPlan = useMemo((): PartyPlan => ({ ...plan, held: [...pins] }), [plan, pins]);
  const day = useMemo(() => dayOfPlan(party, shownPlan), [party, shownPlan]);
  const wrong = useMemo(
    () => (plan.guests.length === 0 ? [] : [...new Set(checkDay(day).map(({ message }) => message))]),
    [day, plan.guests.length],
  );

  const [findAsked, setFindAsked] = useState<From<Timetable | null> | null>(null);
  const [aroundAsked, setAroundAsked] = useState<From | null>(null);
  const [calmAsked, setCalmAsked] = useState<(From & { readonly own: Own }) | null>(null);
  const [moreAsked, setMoreAsked] = useState<(From & { readonly own: Own }) | null>(null);
  const timed = useVisitMinutes(todayText()).data ?? NONE_TIMED;
  const own = useMemo(() => ({ plan: shownPlan, timed }), [shownPlan, timed]);
  const [whyAsked, setWhyAsked] = useState<{ readonly day: PartyDay } | null>(null);
  const planning = useWork(askPlan, 'plan', findAsked);
  const replanning = useWork(askPlan, 'replan', aroundAsked);
  const calming = useWork(askPlan, 'calm', calmAsked);
  const why = useWork(askPlan, 'explain', whyAsked);

  const answer = findAsked?.day === day && planning.fresh ? planning.answer : null;
  const from = [aroundAsked, calmAsked].find((one) => one?.day === day)?.timetable ?? null;
  const repaired = aroundAsked?.day === day && replanning.fresh ? replanning.answer : null;
  const calm = calmAsked?.day === day && calming.fresh ? calming.answer : null;
  // What a search went on from stays in sight until it has found something, and when it finds nothing.
  const shown = useSame(
    draft ??
      unproven(repaired ?? calm) ??
      from ??
      (answer && timetableOf(answer)) ??
      (findAsked?.day === day ? findAsked.timetable : null) ??
      plan.timetable,
  );
  const judged = useMemo(() => (shown ? judgeDay(day, shown) : null), [day, shown]);
  const sureAsked = useMemo(
    () => (shown && judged?.conflicts.length === 0 && !planning.busy ? { day, timetable: shown, own } : null),
    [day, shown, judged, planning.busy, own],
  );
  const sure = useWork(askPlan, 'sure', sureAsked);
  const more = useWork(askPlan, 'oneMore', moreAsked);

  const ask = (asked: { find?: boolean; around?: Timetable; calm?: Timetable }): void => {
    setDraft(null);
    setFindAsked(asked.find ? { day, timetable: shown } : findAsked);
    setAroundAsked(asked.around ? { day, timetable: asked.around } : null);
    setCalmAsked(asked.calm ? { day, timetable: asked.calm, own } : null);
  };
  const forget = (): void => {
    ask({});
    setFindAsked(null);
    setWhyAsked(null);
    setMoreAsked(null);
    setHeld(null);
  };
  /** What was asked is over as soon as it is taken: what is asked next is not forgotten with it. */
  const keepInstead = async (next: PartyPlan): Promise<void> => {
    forget();
    if (await keep(next)) return;
    setDraft(shown);
    setHeld(held);
  };
  const changed = useMemo(
    () => held !== null || JSON.stringify(shown) !== JSON.stringify(plan.timetable),
    [held, shown, plan.timetable],
  );
  return {
    day,
    /** What keeps the day from being planned, in words. */ wrong,
    shown,
    judged,
    pins,
    plan: shownPlan,
    planning,
    replanning,
    calming,
    /** People no place was found for. */
    unplaced: answer?.unplaced ?? [],
    /** Nothing was found around what is held. */
    stuck: aroundAsked?.day === day && replanning.fresh && replanning.answer === null,
    /** Whether what is shown was just made as calm as it gets. */
    calmed: draft === null && calm !== null,
    sure: sure.fresh ? sure.answer : null,
    why: whyAsked?.day === day ? why : null,
    /** What one more pair of hands buys, once it was asked of what is shown. */
    more: moreAsked?.day === day && moreAsked.timetable === shown ? more : null,
    /** Whether what is shown is not what is kept. */
    changed,
    find: (): void => ask({ find: true }),
    /** Goes on from what is shown to a timetable that bears delay. */
    askCalm: (): void => {
      if (shown) ask({ calm: shown });
    },
    askMore: (): void => {
      if (shown) setMoreAsked({ day, timetable: shown, own });
    },
    planAround: (): void => {
      if (shown) ask({ around: shown });
    },
    askWhy: (): void => setWhyAsked({ day }),
    move: (visit: Visit, change: Partial<Visit>): void => {
      if (!shown) return;
      setDraft(moved(shown, keyOf(visit), change));
      const { start = visit.start, worker = visit.worker } = change;
      if (pins.some((pin) => keyOf(pin) === keyOf(visit)))
        setHeld(pins.map((pin) => (keyOf(pin) === keyOf(visit) ? { ...pin, start, worker } : pin)));
    },
    hold: (visit: Visit): void => {
      const others = pins.filter((pin) => keyOf(pin) !== keyOf(visit));
      const { of, task, worker, start } = visit;
      // What is shown stays in sight: holding is no new question by itself.
      setDraft(shown);
      setHeld(others.length < pins.length ? others : [...pins, { of, task, worker, start }]);
    },
    keep: (): Promise<void> => keepInstead({ ...plan, held: [...pins], timetable: shown }),
    discard: forget,
    /** Does what a way out says to the plan; the timetable is looked for anew. */
    take: (way: Offered): Promise<void> =>
      keepInstead({ ...way.changes.reduce(changedPlan, plan), timetable: null }),
  };
}
export type DayWork = ReturnType<typeof useDay>;
