import { judgeDay } from './judgeDay';
import type { DayTask } from './instance';
import type { Mode, Model, Unit, UnitWay } from './model';
import type { UnitPlan } from './occupancy';
import { visitsOf } from './timetable';

const { min, max, floor } = Math;

/** The starts still open in a node, by mode. */
export type Domain = readonly Uint8Array[];

/** Half of a node: plans by a way, with a task's mode and start taken; without a task, the way alone. */
type Cut = {
  readonly unit: Unit;
  readonly way: UnitWay;
  readonly task: DayTask | null;
  readonly takes: (mode: Mode, slot: number) => boolean;
};

const openIn = (domains: Domain, mode: Mode): number =>
  domains[mode.index]!.reduce((sum, one) => sum + one, 0);

/** The starts of a cut, and all others; null when either would leave the unit nothing new. */
function halve(domains: Domain, { unit, way, task, takes }: Cut): [Domain, Domain] | null {
  const inside = [...domains];
  const outside = [...domains];
  const own = new Set(way.modes.flat());
  let taken = 0;
  let left = 0;
  for (const mode of unit.modes) {
    const a = domains[mode.index]!.slice();
    const b = a.slice();
    const decides = own.has(mode) && (task === null || mode.task === task);
    for (let s = 0; s <= mode.last; s++) {
      if (!a[s]) continue;
      if (!own.has(mode)) {
        a[s] = 0;
        left++;
      } else if (decides && takes(mode, s)) {
        b[s] = 0;
        taken++;
      } else if (decides) {
        a[s] = 0;
        left++;
      }
    }
    inside[mode.index] = a;
    outside[mode.index] = b;
  }
  return taken > 0 && left > 0 ? [inside, outside] : null;
}

/** Two halves of a node, the likelier first; null when nothing is left to decide. */
export function splitNode(
  model: Model,
  domains: Domain,
  seen: readonly (readonly (UnitPlan | null)[])[],
): [Domain, Domain] | null {
  let widest: (Cut & { score: number; likely: boolean }) | null = null;
  const last = seen.at(-1);
  const broken = last ? brokenTasks(model, last) : new Set<string>();
  for (const unit of model.units) {
    const plans = seen.map((all) => all[unit.index]).filter((plan) => plan != null);
    const now = plans.at(-1);
    if (!now) continue;
    const way = unit.ways[now.way]!;
    const share = plans.filter((plan) => plan.way === now.way).length / plans.length;
    if (share < 1) {
      const score = 400 * share * (1 - share);
      if (!widest || score > widest.score)
        widest = { score, unit, way, task: null, takes: () => true, likely: true };
      continue;
    }
    way.way.tasks.forEach((task) => {
      const at = plans.map((plan) => {
        const k = plan.modes.findIndex((mode) => mode.task === task);
        return { mode: plan.modes[k]!, start: plan.starts[k]! };
      });
      const mean = at.reduce((sum, one) => sum + one.start, 0) / at.length;
      const spread = Math.sqrt(at.reduce((sum, one) => sum + (one.start - mean) ** 2, 0) / at.length);
      const current = at.at(-1)!;
      const others = at.filter((one) => one.mode.worker !== current.mode.worker).length / at.length;
      const byWorker = others > 0.15;
      const score = (byWorker ? 20 + 8 * min(others, 1 - others) : spread) * (broken.has(task.id) ? 4 : 1);
      if (score < 0.01 || (widest && score <= widest.score)) return;
      const { worker } = current.mode;
      const middle = floor(mean);
      widest = byWorker
        ? { score, unit, way, task, takes: (mode) => mode.worker === worker, likely: true }
        : { score, unit, way, task, takes: (_, s) => s <= middle, likely: current.start <= middle };
    });
  }
  const found = widest && halve(domains, widest);
  if (widest && found) return widest.likely ? found : [found[1], found[0]];
  return splitBeside(model, domains, last, broken);
}

/**
 * The plans agree, and yet a rule is broken: split a task beside its start, the one with most room first;
 * where that start was struck out since, in the middle. Null only when every start is decided.
 */
function splitBeside(
  model: Model,
  domains: Domain,
  last: readonly (UnitPlan | null)[] | undefined,
  broken: ReadonlySet<string>,
): [Domain, Domain] | null {
  const cuts: (Cut & { room: number })[] = [];
  for (const unit of model.units) {
    const plan = last?.[unit.index];
    for (const way of unit.ways) {
      cuts.push({ room: 0, unit, way, task: null, takes: () => true });
      way.way.tasks.forEach((task, i) => {
        const live = way.modes[i]!.filter((mode) => openIn(domains, mode) > 0);
        const room = live.reduce((sum, mode) => sum + openIn(domains, mode), 0);
        if (room < 2) return;
        const weight = broken.has(task.id) ? 100 : 1;
        const k = plan?.modes.findIndex((mode) => mode.task === task) ?? -1;
        const first = min(...live.map((mode) => domains[mode.index]!.indexOf(1)));
        const end = max(...live.map((mode) => domains[mode.index]!.lastIndexOf(1)));
        const cut = (at: number, less: number): void =>
          void cuts.push({ room: weight * (room - less), unit, way, task, takes: (_, s) => s <= at });
        if (plan && k >= 0) cut(plan.starts[k]!, 0);
        if (first < end) cut(floor((first + end) / 2), 0.2);
        else cuts.push({ room: weight * (room - 0.2), unit, way, task, takes: (one) => one === live[0] });
      });
    }
  }
  cuts.sort((a, b) => b.room - a.room);
  for (const cut of cuts) {
    const found = halve(domains, cut);
    if (found) return found;
  }
  return null;
}

/**
 * Tasks that get into each other's way in plans made one by one, a worker's whole stretch where she cannot
 * rest.
 */
function brokenTasks(model: Model, plans: readonly (UnitPlan | null)[]): Set<string> {
  const { ways, visits } = visitsOf(model, plans);
  const tasks = new Set<string>();
  for (const { rule, about } of judgeDay(model.day, { ways, visits }).conflicts) {
    for (const key of about) {
      const task = key.slice(key.indexOf(' ') + 1);
      tasks.add(task);
      if (rule !== 'maxWork' && rule !== 'lunch') continue;
      const worker = visits.find((visit) => visit.task === task)?.worker ?? key;
      for (const visit of visits) if (visit.worker === worker) tasks.add(visit.task);
    }
  }
  return tasks;
}
