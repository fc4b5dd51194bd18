import { useCallback, useMemo, useState, useSyncExternalStore } from 'react';
import { dayOfPlan, runningDay, seenVisits, type Replan, type RunningDay } from '@toile/core';
import { askPlan, useWork, type Work } from '../../workers';
import { dayStands, withCharts } from './nowView';
import type { PartyLog } from './usePartyLog';
import type { PartyWork } from './usePartyPlan';

/** How often the clock is looked at, ms. */
const BEAT_MS = 10_000;

/** The time, ms, looked at every ten seconds. */
function useClock(): number {
  const subscribe = useCallback((tell: () => void): (() => void) => {
    const timer = setInterval(tell, BEAT_MS);
    return () => clearInterval(timer);
  }, []);
  return useSyncExternalStore(subscribe, () => Math.floor(Date.now() / BEAT_MS) * BEAT_MS);
}

export type Running = {
  readonly when: 'before' | 'on the day' | 'after';
  readonly minute: number;
  /** Null without a kept timetable. */ readonly running: RunningDay | null;
  readonly proposals: Work<Replan>;
  /** Whether the proposals are of the day as it stands. */ readonly fresh: boolean;
  readonly ask: () => void;
  readonly forget: () => void;
};

/** A party's day as it stands by the clock, and what could be done about it. */
export function useRunning({ party, plan }: PartyWork, log: PartyLog): Running {
  const now = useClock();
  const { when, minute } = dayStands(plan, party.date, new Date(now));
  const known = useMemo(() => withCharts(party, plan), [party, plan]);
  const running = useMemo(() => {
    if (!known.timetable || when === 'before') return null;
    const seen = seenVisits(known, party.date, log.events, log.chairs);
    return runningDay(dayOfPlan(party, known), known.timetable, seen, minute);
  }, [known, party, log.events, log.chairs, minute, when]);
  type Asked = { readonly day: RunningDay['day']; readonly timetable: NonNullable<typeof plan.timetable> };
  const [asked, setAsked] = useState<Asked | null>(null);
  const proposals = useWork(askPlan, 'goOn', asked);
  return {
    when,
    minute,
    running,
    proposals,
    fresh: asked !== null && asked.timetable === known.timetable && proposals.fresh,
    ask: () => {
      if (running && known.timetable) setAsked({ day: running.day, timetable: known.timetable });
    },
    forget: () => setAsked(null),
  };
}
