import { arrivalAt, stopBy } from './travel';
import { clock } from '../calendar';
import { capital } from '../capital';
import { msg } from '../messages';
import { chairName, TASK_WORDS, whoseName } from './named';
import { endsOf, fits, isAt, keyOf, roundTask, wayOf, type Laid } from './laidOut';
import {
  chairKindOf,
  type PartyDay,
  type DayAnswer,
  type Objective,
  type Person,
  type Star,
  type Worker,
} from './instance';
import { wholeDay, type OpenDay } from './wholeDay';

export type DayRule =
  | 'once'
  | 'worker'
  | 'task'
  | 'person'
  | 'way'
  | 'relaxed'
  | 'skill'
  | 'minutes'
  | 'grid'
  | 'now'
  | 'pinned'
  | 'from'
  | 'window'
  | 'appointment'
  | 'head'
  | 'order'
  | 'arrival'
  | 'hands'
  | 'travel'
  | 'maxWork'
  | 'lunch'
  | 'leaves'
  | 'away'
  | 'chair';

/** What cannot be, in words; `about` are the visits ('person task') or people it concerns. */
export type DayConflict = {
  readonly rule: DayRule;
  readonly message: string;
  readonly about: readonly string[];
};

/** How one person fares. */
export type PersonDay = {
  readonly first: number;
  readonly ready: number;
  readonly lateMinutes: number;
  readonly shortMinutes: number;
  readonly earlyMinutes: number;
  readonly waitMinutes: number;
  readonly staleMinutes: number;
  readonly wishCost: number;
  readonly wayCost: number;
};

export type Judged = {
  readonly conflicts: readonly DayConflict[];
  readonly objective: Objective;
  readonly people: Readonly<Record<string, PersonDay>>;
};

type Timetable = Pick<DayAnswer, 'ways' | 'visits'>;
type Say = (rule: DayRule, message: string, about: readonly string[]) => void;

/**
 * Every hard rule of a timetable and what it costs, worked out from the visits alone: it shares nothing with
 * the search but the way to count travel. Some tenths of a millisecond, so it may run while a visit is
 * dragged.
 */
export function judgeDay(given: OpenDay, answer: Timetable): Judged {
  const day = wholeDay(given);
  const conflicts: DayConflict[] = [];
  const say: Say = (rule, message, about) => conflicts.push({ rule, message, about });
  const laid = layOut(day, answer, say);
  const byPerson = grouped(laid, (one) => one.visit.of);
  const of = (id: string): Laid[] => [...(byPerson.get(id) ?? [])].sort((a, b) => a.start - b.start);
  for (const person of day.people) judgePerson(day, person, answer, of(person.id), say);
  judgeRounds(day, laid, say);
  const byWorker = grouped(laid, (one) => one.worker.id);
  for (const worker of day.workers) judgeWorker(day, worker, byWorker.get(worker.id) ?? [], say);
  judgeChairs(day, laid, say);

  const people: Record<string, PersonDay> = {};
  let late = 0;
  let cost = 0;
  for (const person of day.people) {
    const fares = personDay(person, answer, of(person.id));
    if (!fares) continue;
    people[person.id] = fares;
    late += person.weights.late * fares.lateMinutes;
    cost += costOf(person, fares);
  }
  for (const round of day.rounds)
    for (const one of byPerson.get(round.id) ?? []) late += Math.max(0, one.personEnd - round.to);
  if (day.star) cost += starCost(day.star, laid);
  return { conflicts, objective: { late, cost }, people };
}

function costOf({ weights }: Person, fares: PersonDay): number {
  return (
    (weights.fresh ?? 0) * fares.staleMinutes +
    fares.wayCost +
    weights.short * fares.shortMinutes +
    weights.early * fares.earlyMinutes +
    weights.wait * fares.waitMinutes +
    fares.wishCost
  );
}

function layOut(day: PartyDay, answer: Timetable, say: Say): Laid[] {
  const seen = new Set<string>();
  const laid: Laid[] = [];
  for (const visit of answer.visits) {
    const key = keyOf(visit.of, visit.task);
    if (seen.has(key)) {
      say('once', msg`A visit of ${whoseName(day, visit.of)} is there twice`, [key]);
      continue;
    }
    seen.add(key);
    const worker = day.workers.find((one) => one.id === visit.worker);
    if (!worker) {
      say('worker', msg`${whoseName(day, visit.of)}: nobody is called ${visit.worker}`, [key]);
      continue;
    }
    const round = day.rounds.find((one) => one.id === visit.of);
    const person = day.people.find((one) => one.id === visit.of) ?? null;
    if (!round && !person) {
      say('person', msg`nobody is called ${visit.of}`, [key]);
      continue;
    }
    const way = person && wayOf(person, answer.ways);
    if (person && !way) continue;
    const task = round
      ? visit.task === round.id
        ? roundTask(round)
        : undefined
      : way?.tasks.find((one) => one.id === visit.task);
    if (!task) {
      say('task', msg`There is nothing called ${visit.task} to do for ${whoseName(day, visit.of)}`, [key]);
      continue;
    }
    const pin = day.pinned?.find((one) => one.of === visit.of && one.task === visit.task) ?? null;
    const minutes = pin?.minutes ?? task.by[worker.id];
    if (minutes === undefined) {
      say('skill', msg`${worker.name} does not do ${TASK_WORDS[task.kind]} for ${whoseName(day, visit.of)}`, [
        key,
      ]);
      continue;
    }
    if (pin && (pin.worker !== visit.worker || pin.start !== visit.start || !isAt(pin, task)))
      say('pinned', msg`${whoseName(day, visit.of)} is held at ${clock(pin.start)}`, [key]);
    if (visit.minutes !== minutes)
      say(
        'minutes',
        msg`${whoseName(day, visit.of)}: ${TASK_WORDS[task.kind]} takes ${minutes} minutes, not ${visit.minutes}`,
        [key],
      );
    if (!Number.isInteger(visit.start) || (!pin && visit.start % day.grid !== 0))
      say('grid', msg`${clock(visit.start)} is not on the grid of ${day.grid} minutes`, [key]);
    if (!pin && day.now != null && visit.start < day.now)
      say('now', msg`${whoseName(day, visit.of)} would begin at ${clock(visit.start)}, which is past`, [key]);
    laid.push({
      key,
      visit,
      person,
      task,
      worker,
      start: visit.start,
      minutes,
      pin,
      ...endsOf(task, visit.start, minutes),
    });
  }
  return laid;
}

function judgePerson(
  day: PartyDay,
  person: Person,
  answer: Timetable,
  mine: readonly Laid[],
  say: Say,
): void {
  const way = wayOf(person, answer.ways);
  if (!way) return say('way', msg`${person.name} has nothing planned`, [person.id]);
  if (way.relax && !day.relaxed?.includes(`${person.id}/${way.id}`))
    say('relaxed', msg`${person.name}: that is only a way out`, [person.id]);
  for (const task of way.tasks)
    if (!answer.visits.some((v) => v.of === person.id && v.task === task.id))
      say('once', msg`${person.name}: ${TASK_WORDS[task.kind]} is missing`, [keyOf(person.id, task.id)]);
  mine.forEach((one, i) => {
    if (!one.pin && one.start < person.from)
      say('from', msg`${person.name} is not there before ${clock(person.from)}`, [one.key]);
    const { from, to } = one.task;
    if (from !== undefined && one.start < from)
      say('window', msg`${person.name}: not before ${clock(from)}`, [one.key]);
    if (to !== undefined && one.personEnd > to)
      say('window', msg`${person.name}: not after ${clock(to)}`, [one.key]);
    for (const busy of person.busy)
      if (!one.pin && one.start < busy.to && one.personEnd > busy.from)
        say('appointment', msg`${person.name} has ${busy.title} at ${clock(busy.from)}`, [one.key]);
    const before = mine[i - 1];
    if (before && before.personEnd > one.start)
      say('head', msg`${person.name} would be in two places at ${clock(one.start)}`, [before.key, one.key]);
  });
  for (const { first, then } of way.order ?? []) {
    const a = mine.find((one) => one.task.id === first);
    const b = mine.find((one) => one.task.id === then);
    if (a && b && b.start < a.personEnd)
      say('order', msg`${person.name}: ${TASK_WORDS[b.task.kind]} comes after ${TASK_WORDS[a.task.kind]}`, [
        a.key,
        b.key,
      ]);
  }
}

function judgeRounds(day: PartyDay, laid: readonly Laid[], say: Say): void {
  for (const round of day.rounds) {
    const mine = laid.filter((one) => one.visit.of === round.id);
    if (mine.length === 0)
      say('once', msg`${whoseName(day, round.id)}: nothing is planned`, [keyOf(round.id, round.id)]);
    for (const one of mine)
      if (one.start < round.from)
        say('window', msg`${whoseName(day, round.id)}: not before ${clock(round.from)}`, [one.key]);
  }
}

function judgeWorker(day: PartyDay, worker: Worker, visits: readonly Laid[], say: Say): void {
  const mine = [...visits].sort((a, b) => a.start - b.start);
  const first = mine[0];
  const last = mine.at(-1);
  if (!first || !last) return;
  const { sanitise, maxWork, rest, lunch, leaves, packUp, name } = worker;
  const setUp = arrivalAt(day, worker.at, first.task.place, worker.arrives) + worker.setUp;
  if (!first.pin && first.start < setUp)
    say(
      'arrival',
      msg`${name} is not set up before ${Number.isFinite(setUp) ? clock(setUp) : msg`any hour there`}`,
      [first.key],
    );
  /** Spans free of work and travel. */
  const free: [from: number, to: number][] = [[-Infinity, first.start]];
  let began = first.start;
  mine.forEach((one, i) => {
    const before = mine[i - 1];
    if (before) {
      const same = before.task.place === one.task.place;
      const ready = same
        ? before.handsEnd + sanitise
        : arrivalAt(day, before.task.place, one.task.place, before.handsEnd);
      if (!(one.pin && before.pin) && one.start < ready)
        say(
          same ? 'hands' : 'travel',
          Number.isFinite(ready)
            ? msg`${name} is not free before ${clock(ready)}`
            : msg`${name} cannot get there after ${clock(before.handsEnd)}`,
          [before.key, one.key],
        );
      const stop = stopBy(day, before.task.place, one.task.place, one.start);
      const idle = same ? one.start - ready : stop - (before.handsEnd + sanitise);
      if (Math.max(one.start - ready, idle) >= rest) began = one.start;
      free.push([ready, one.start]);
      if (!same) free.push([before.handsEnd + sanitise, stop]);
    }
    if (maxWork !== null && !one.pin && one.handsEnd - began > maxWork)
      say('maxWork', msg`${name} would work ${one.handsEnd - began} minutes without a rest`, [one.key]);
  });
  free.push([last.handsEnd + sanitise, Infinity]);
  const eats = ([from, to]: [number, number]): boolean =>
    lunch !== null && Math.min(to, lunch.to) - Math.max(from, lunch.from) >= lunch.minutes;
  if (lunch && !free.some(eats))
    say(
      'lunch',
      msg`${name} has no ${lunch.minutes} minutes between ${clock(lunch.from)} and ${clock(lunch.to)}`,
      [worker.id],
    );
  for (const one of mine)
    for (const gone of worker.away ?? [])
      if (!one.pin && one.start < gone.to && one.handsEnd > gone.from)
        say('away', msg`${name} is not there from ${clock(gone.from)} to ${clock(gone.to)}: ${gone.title}`, [
          one.key,
        ]);
  if (leaves !== null && last.handsEnd + packUp > leaves)
    say(
      'leaves',
      msg`${name} would pack until ${clock(last.handsEnd + packUp)} and leaves at ${clock(leaves)}`,
      [last.key],
    );
}

function judgeChairs(day: PartyDay, laid: readonly Laid[], say: Say): void {
  const seated = laid.filter((one) => one.task.chair !== false);
  for (const one of seated) {
    const chair = day.chairs.find(({ id }) => id === one.visit.chair);
    const who = whoseName(day, one.visit.of);
    if (!chair) say('chair', msg`${who} has no chair at ${clock(one.start)}`, [one.key]);
    else if (!fits(chair, one.task, chairKindOf(one.task.kind)))
      say('chair', msg`${who}: ${TASK_WORDS[one.task.kind]} cannot be done in ${chairName(day, chair.id)}`, [
        one.key,
      ]);
  }
  for (const { id } of day.chairs) {
    const mine = seated.filter((one) => one.visit.chair === id).sort((a, b) => a.start - b.start);
    mine.forEach((one, i) => {
      const before = mine[i - 1];
      if (before && one.start < before.chairEnd + day.chairWipe)
        say(
          'chair',
          msg`${capital(chairName(day, id))} is taken until ${clock(before.chairEnd + day.chairWipe)}`,
          [before.key, one.key],
        );
    });
  }
}

function personDay(person: Person, answer: Timetable, mine: readonly Laid[]): PersonDay | null {
  const way = wayOf(person, answer.ways);
  const [opening] = mine;
  if (!way || !opening) return null;
  const first = opening.start;
  const ready = Math.max(...mine.map((one) => one.personEnd));
  const aim = person.readyBy - person.slack;
  const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
  const busy = sum(person.busy.map((b) => Math.max(0, Math.min(b.to, ready) - Math.max(b.from, first))));
  const worked = sum(mine.map((one) => one.personEnd - one.start));
  const startOf = (task: string): number | undefined => mine.find((one) => one.task.id === task)?.start;
  const turned = (way.prefer ?? []).filter(
    (one) => (startOf(one.first) ?? -Infinity) > (startOf(one.then) ?? Infinity),
  );
  const missed = (way.likes ?? []).filter((like) =>
    mine.some((one) => one.task.id === like.task && one.worker.id !== like.worker),
  );
  const face = mine.find((one) => one.task.kind === 'makeup');
  return {
    first,
    ready,
    lateMinutes: Math.max(0, ready - person.readyBy),
    shortMinutes: Math.min(person.slack, Math.max(0, ready - aim)),
    earlyMinutes: Math.max(0, aim - ready),
    waitMinutes: ready - first - busy - worked,
    staleMinutes:
      person.weights.fresh && face
        ? Math.max(0, aim - (person.freshAfter ?? 45) - (face.start + face.minutes))
        : 0,
    wishCost: sum([...turned, ...missed].map((one) => one.cost)),
    wayCost: way.cost,
  };
}

function starCost(star: Star, laid: readonly Laid[]): number {
  const faces = laid.filter((one) => one.task.kind === 'makeup' && one.person !== null);
  const hers = faces.find((one) => one.visit.of === star.person);
  const others = faces.filter((one) => one.visit.of !== star.person);
  if (!hers || others.length === 0) return 0;
  const end = (one: Laid): number => one.start + one.minutes;
  return (
    (others.some((one) => one.start < hers.start) ? 0 : star.firstCost) +
    (others.some((one) => end(one) > end(hers)) ? 0 : star.lastCost)
  );
}

function grouped<T>(list: readonly T[], keyOfOne: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of list) {
    const group = groups.get(keyOfOne(one));
    if (group) group.push(one);
    else groups.set(keyOfOne(one), [one]);
  }
  return groups;
}
