import type { Objective, Visit } from './instance';
import { keyOf } from './laidOut';
import { minuteOf, type Mode, type Model, type Unit } from './model';
import type { UnitPlan } from './occupancy';

// Taken out of the global once: these run in the innermost loops.
const { max, floor } = Math;
const NEVER = Number.POSITIVE_INFINITY;

/** A whole timetable as plans of all units. */
export type Plans = readonly (UnitPlan | null)[];

/** The weighted minutes a plan is late. */
export function latenessOf(model: Model, unit: Unit, plan: UnitPlan): number {
  return (unit.person?.weights.late ?? 1) * lateMinutesOf(model, unit, plan);
}

function lateMinutesOf(model: Model, unit: Unit, plan: UnitPlan): number {
  const last = plan.modes.length - 1;
  const mode = plan.modes[last]!;
  const ready = minuteOf(model, mode, plan.starts[last]!) + mode.minutes + mode.task.tail;
  const by = unit.person?.readyBy ?? model.day.rounds.find((one) => one.id === unit.id)?.to ?? NEVER;
  return max(0, ready - by);
}

/** When the star's face and those of the others begin and end. */
export type Faces = { first: number; last: number; starStart: number; starEnd: number };

/** The faces of a timetable, without one unit. */
export function facesOf(model: Model, plans: Plans, without: number): Faces {
  const faces: Faces = { first: NEVER, last: -NEVER, starStart: NaN, starEnd: NaN };
  if (model.star < 0) return faces;
  for (const plan of plans) {
    if (!plan || plan.unit === without) continue;
    for (let i = 0; i < plan.modes.length; i++) {
      const mode = plan.modes[i]!;
      if (!mode.face) continue;
      const start = minuteOf(model, mode, plan.starts[i]!);
      const end = start + mode.minutes;
      if (plan.unit !== model.star) {
        if (start < faces.first) faces.first = start;
        if (end > faces.last) faces.last = end;
      } else if (Number.isNaN(faces.starStart)) {
        faces.starStart = start;
        faces.starEnd = end;
      }
    }
  }
  return faces;
}

/** Points for a star that is first or last of all faces. */
export function starPoints(model: Model, { first, last, starStart, starEnd }: Faces): number {
  const { star } = model.day;
  if (!star || model.star < 0 || Number.isNaN(starStart) || first === NEVER) return 0;
  return (first < starStart ? 0 : star.firstCost) + (last > starEnd ? 0 : star.lastCost);
}

/** Lateness and points of comfort of a whole timetable; null while somebody has no plan. */
export function objectiveOf(model: Model, plans: Plans): Objective | null {
  let late = 0;
  let cost = starPoints(model, facesOf(model, plans, -1));
  for (const unit of model.units) {
    const plan = plans[unit.index];
    if (!plan) return null;
    const minutes = latenessOf(model, unit, plan);
    late += minutes;
    cost += plan.cost - model.aims.latePoints * minutes;
  }
  return { late, cost: Math.round(cost) };
}

/**
 * The visits of a timetable, chairs handed out by start: with alike chairs the first free one always does.
 */
export function visitsOf(model: Model, plans: Plans): { ways: Record<string, string>; visits: Visit[] } {
  const ways: Record<string, string> = {};
  const laid: { visit: Omit<Visit, 'chair'>; mode: Mode; chairEnd: number }[] = [];
  for (const plan of plans) {
    if (!plan) continue;
    const unit = model.units[plan.unit]!;
    if (unit.person) ways[unit.id] = unit.ways[plan.way]!.way.id;
    plan.modes.forEach((mode, i) => {
      const start = minuteOf(model, mode, plan.starts[i]!);
      laid.push({
        visit: {
          of: unit.id,
          task: mode.task.id,
          worker: model.workers[mode.worker]!.id,
          start,
          minutes: mode.minutes,
        },
        mode,
        chairEnd: start + mode.minutes + (mode.task.holds ? mode.task.tail : 0) + model.day.chairWipe,
      });
    });
  }
  laid.sort(
    (a, b) =>
      a.visit.start - b.visit.start ||
      (keyOf(a.visit.of, a.visit.task) < keyOf(b.visit.of, b.visit.task) ? -1 : 1),
  );
  const freeAt = new Map<string, number>();
  const visits = laid.map(({ visit, mode, chairEnd }): Visit => {
    if (mode.pool < 0) return { ...visit, chair: null };
    const chairs = model.pools[mode.pool]!.chairs;
    const chair = chairs.find((id) => (freeAt.get(id) ?? -NEVER) <= visit.start) ?? chairs[0] ?? null;
    if (chair !== null) freeAt.set(chair, chairEnd);
    return { ...visit, chair };
  });
  return { ways, visits };
}

/** A stored timetable as plans on a model's grid; what does not fit it is left out. */
export function plansFrom(
  model: Model,
  answer: { readonly ways: Readonly<Record<string, string>>; readonly visits: readonly Visit[] },
): (UnitPlan | null)[] {
  return model.units.map((unit) => {
    const way = unit.person ? unit.ways.findIndex((one) => one.way.id === answer.ways[unit.id]) : 0;
    const unitWay = unit.ways[way];
    if (!unitWay) return null;
    const placed = unitWay.way.tasks.map((task, i) => {
      const visit = answer.visits.find((one) => one.of === unit.id && one.task === task.id);
      const mode = unitWay.modes[i]!.find((one) => model.workers[one.worker]!.id === visit?.worker);
      if (!visit || !mode) return null;
      const slot = floor((visit.start - model.base) / model.grid);
      return mode.domain[slot] && minuteOf(model, mode, slot) === visit.start
        ? { mode, slot, index: i }
        : null;
    });
    const whole = placed.filter((one) => one !== null);
    if (whole.length < placed.length) return null;
    whole.sort((a, b) => a.slot - b.slot);
    return planOf(
      unit,
      way,
      whole.map((one) => one.mode),
      whole.map((one) => one.slot),
      whole.map((one) => one.index),
    );
  });
}

function planOf(
  unit: Unit,
  way: number,
  modes: Mode[],
  starts: number[],
  order: readonly number[],
): UnitPlan | null {
  const known = unit.ways[way]!.orders.some((one) => one.tasks.every((task, i) => task === order[i]));
  if (!known) return null;
  const plan = { unit: unit.index, way, modes, starts };
  return { ...plan, cost: costOf(unit, plan) };
}

/** A plan's points by themselves: without prices, changes and the star's. */
export function costOf(unit: Unit, { way, modes, starts }: Omit<UnitPlan, 'cost'>): number {
  const unitWay = unit.ways[way]!;
  const order = unitWay.orders.find((one) =>
    one.tasks.every((task, i) => unitWay.way.tasks[task] === modes[i]!.task),
  );
  const last = modes.length - 1;
  let cost = unitWay.cost + (order?.preferCost ?? 0);
  cost += modes[last]!.closing[starts[last]!]! - modes[0]!.opening[starts[0]!]!;
  let faces = 0;
  modes.forEach((mode, i) => {
    cost += mode.mid[starts[i]!]!;
    // Only the first face is looked at for freshness.
    if (mode.task.kind === 'makeup' && faces++ > 0) cost -= mode.stale[starts[i]!]!;
  });
  return cost;
}

/** The weighted minutes of lateness of a timetable, all plans there. */
export function latenessIn(model: Model, plans: Plans): number {
  return plans.reduce((sum, plan) => sum + (plan ? latenessOf(model, model.units[plan.unit]!, plan) : 0), 0);
}

/** The same without weights: minutes as people count them. */
export function lateMinutesIn(model: Model, plans: Plans): number {
  return plans.reduce((sum, plan) => {
    const unit = plan && model.units[plan.unit]!;
    // Whose ready-by does not count is not late.
    return unit && unit.person?.weights.late !== 0 ? sum + lateMinutesOf(model, unit, plan) : sum;
  }, 0);
}
