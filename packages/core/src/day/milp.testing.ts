import loadHighs from 'highs';
import type { Objective, PartyDay } from './instance';
import { judgeDay } from './judgeDay';
import { modelOf, type Mode, type Model, type Unit, type UnitWay } from './model';
import { costOf, visitsOf, type Plans } from './timetable';

/** What a general solver made of a morning; a bound of none where it was not said. */
export type Solved = {
  readonly status: string;
  /** Judged as ours is; null where there is no timetable. */ readonly objective: Objective | null;
  /** Rules it breaks: what rows of this form cannot say of rests. */ readonly broken: readonly string[];
  readonly variables: number;
};

type Cell = { readonly mode: Mode; readonly slot: number; readonly cost: number; readonly name: string };
type Choice = {
  readonly unit: Unit;
  readonly way: UnitWay;
  readonly order: readonly number[];
  readonly name: string;
  readonly cells: readonly (readonly Cell[])[];
};

const sum = (parts: readonly (readonly [factor: number, name: string])[]): string =>
  parts.map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`).join(' ');

/**
 * A morning in one place as a time-indexed mixed-integer program in the LP format, out of the same costs: a
 * variable for each order of each way, and for each start of each task by each worker in it; rows for
 * workers, chairs, sequence and lunch, and rests by windows of time. Solved by HiGHS in WebAssembly.
 */
export async function solvedByHighs(day: PartyDay, seconds: number, wall: boolean): Promise<Solved> {
  const model = modelOf(day, { latePoints: 1000, comfort: true, wall });
  const choices = choicesIn(model);
  const rows: string[] = [];
  const extra: (readonly [number, string])[] = [];
  const binaries: string[] = [];
  for (const unit of model.units)
    rows.push(`${sum(choices.filter((one) => one.unit === unit).map((one) => [1, one.name]))} = 1`);
  for (const { name, order, cells } of choices) {
    for (const of of cells)
      rows.push(`${sum([...of.map((cell) => [1, cell.name] as const), [-1, name]])} = 0`);
    // A task begins only when the one before it in this order is over.
    order.slice(1).forEach((then, i) => {
      const first = order[i]!;
      for (let s = 0; s < model.slots; s++) {
        const begun = cells[then]!.filter(({ slot }) => slot <= s);
        const over = cells[first]!.filter(({ slot, mode }) => slot + mode.personSlots <= s);
        if (begun.length === 0) continue;
        rows.push(
          `${sum([...begun.map((c) => [1, c.name] as const), ...over.map((c) => [-1, c.name] as const)])} <= 0`,
        );
      }
    });
  }
  const all = choices.flatMap(({ cells }) => cells.flat());
  const { busy, lunches } = lunchesIn(model, rows);
  model.workers.forEach((worker, k) => {
    const mine = all.filter(({ mode }) => mode.worker === k);
    const at = (s: number, length: (mode: Mode) => number) =>
      mine
        .filter(({ slot, mode }) => slot <= s && s < slot + length(mode))
        .map(({ name }) => [1, name] as const);
    const work = (s: number) => at(s, (mode) => Math.ceil(mode.handsMinutes / model.grid));
    for (let s = 0; s < model.slots; s++) {
      const row = [...at(s, (mode) => mode.workerSlots), ...busy(k, s)];
      if (row.length > 1) rows.push(`${sum(row)} <= 1`);
    }
    if (worker.maxWork === null) return;
    const most = Math.floor(worker.maxWork / model.grid);
    const window = most + Math.ceil(worker.rest / model.grid);
    for (let s = 0; s + window <= model.slots; s++) {
      const row = Array.from({ length: window }, (_, i) => work(s + i)).flat();
      if (row.length > 0) rows.push(`${sum(merged(row))} <= ${most}`);
    }
  });
  model.pools.forEach(({ chairs }, pool) => {
    const mine = all.filter(({ mode }) => mode.pool === pool);
    for (let s = 0; s < model.slots; s++) {
      const row = mine
        .filter(({ slot, mode }) => slot <= s && s < slot + mode.chairSlots)
        .map(({ name }) => [1, name] as const);
      if (row.length > chairs.length) rows.push(`${sum(row)} <= ${chairs.length}`);
    }
  });
  starRows(model, all, rows, binaries, extra);
  const goal = [
    ...choices.map((one) => [one.way.cost + orderCost(one), one.name] as const),
    ...all.map(({ cost, name }) => [cost, name] as const),
    ...extra,
  ].filter(([factor]) => factor !== 0);
  const names = [...choices.map(({ name }) => name), ...all.map(({ name }) => name), ...lunches, ...binaries];
  const problem = [
    'Minimize',
    ` cost: ${sum(goal)}`,
    'Subject To',
    ...rows.map((row, i) => ` r${i}: ${row}`),
    'Binary',
    ...names.map((name) => ` ${name}`),
    'End',
  ].join('\n');
  const highs = await loadHighs();
  const solution = highs.solve(problem, { time_limit: seconds, mip_rel_gap: 0 });
  const columns = solution.Columns as Readonly<Record<string, { readonly Primal?: number }>>;
  const on = (name: string): boolean => (columns[name]?.Primal ?? 0) > 0.5;
  const plans: Plans = model.units.map((unit) => {
    const chosen = choices.find((one) => one.unit === unit && on(one.name));
    const picked = chosen?.order.map((task) => chosen.cells[task]!.find((cell) => on(cell.name)));
    if (!chosen || !picked || picked.some((cell) => cell === undefined)) return null;
    const cells = picked.flatMap((cell) => cell ?? []);
    const plan = {
      unit: unit.index,
      way: unit.ways.indexOf(chosen.way),
      modes: cells.map(({ mode }) => mode),
      starts: cells.map(({ slot }) => slot),
    };
    return { ...plan, cost: costOf(unit, plan) };
  });
  const found = plans.every((plan) => plan !== null);
  const judged = found ? judgeDay(day, visitsOf(model, plans)) : null;
  return {
    status: solution.Status,
    objective: judged?.objective ?? null,
    broken: [...new Set(judged?.conflicts.map(({ rule }) => rule) ?? [])],
    variables: names.length,
  };
}

const orderCost = ({ way, order }: Choice): number =>
  way.orders.find(({ tasks }) => tasks.join() === order.join())?.preferCost ?? 0;

/** Every order of every way, with every start of each of its tasks and what it costs there. */
function choicesIn(model: Model): Choice[] {
  let cells = 0;
  return model.units.flatMap((unit) =>
    unit.ways.flatMap((way, w) =>
      way.orders.map(({ tasks: order }, o): Choice => ({
        unit,
        way,
        order,
        name: `o_${unit.index}_${w}_${o}`,
        cells: way.modes.map((modes, task) =>
          modes.flatMap((mode) =>
            Array.from({ length: model.slots }, (_, s) => s)
              .filter((s) => mode.domain[s] === 1)
              .map((slot): Cell => ({
                mode,
                slot,
                cost:
                  mode.mid[slot]! -
                  (order[0] === task ? mode.opening[slot]! : 0) +
                  (order.at(-1) === task ? mode.closing[slot]! : 0),
                name: `x${cells++}`,
              })),
          ),
        ),
      })),
    ),
  );
}

/** The same name once, its factors added. */
function merged(parts: readonly (readonly [number, string])[]): (readonly [number, string])[] {
  const factors = new Map<string, number>();
  for (const [factor, name] of parts) factors.set(name, (factors.get(name) ?? 0) + factor);
  return [...factors].map(([name, factor]) => [factor, name] as const);
}

/** Lunch as work of its own, once, in its window. */
function lunchesIn(model: Model, rows: string[]) {
  const starts = model.workers.map(({ lunch }, k) => {
    if (!lunch) return [];
    const length = Math.ceil(lunch.minutes / model.grid);
    return Array.from({ length: model.slots }, (_, s) => s)
      .filter((s) => {
        const at = model.base + s * model.grid;
        return at >= lunch.from && at + lunch.minutes <= lunch.to;
      })
      .map((slot) => ({ slot, length, name: `l_${k}_${slot}` }));
  });
  for (const of of starts) if (of.length > 0) rows.push(`${sum(of.map(({ name }) => [1, name]))} = 1`);
  return {
    lunches: starts.flat().map(({ name }) => name),
    busy: (k: number, s: number): (readonly [number, string])[] =>
      starts[k]!.filter(({ slot, length }) => slot <= s && s < slot + length).map(({ name }) => [1, name]),
  };
}

/** What it costs that the star's face is the first begun, or the last done. */
function starRows(
  model: Model,
  all: readonly Cell[],
  rows: string[],
  binaries: string[],
  goal: (readonly [number, string])[],
): void {
  const { star } = model.day;
  if (!star || model.star < 0) return;
  const faces = all.filter(({ mode }) => mode.face);
  const own = faces.filter(({ mode }) => mode.unit === model.star);
  const others = faces.filter(({ mode }) => mode.unit !== model.star);
  const endOf = ({ slot, mode }: Cell): number => slot * model.grid + mode.offset + mode.minutes;
  binaries.push('star_first', 'star_last');
  goal.push([star.firstCost, 'star_first'], [star.lastCost, 'star_last']);
  for (const cell of own) {
    const before = others.filter(({ slot }) => slot < cell.slot).map(({ name }) => [-1, name] as const);
    rows.push(`${sum([[1, cell.name], ...before, [-1, 'star_first']])} <= 0`);
    const after = others.filter((one) => endOf(one) > endOf(cell)).map(({ name }) => [-1, name] as const);
    rows.push(`${sum([[1, cell.name], ...after, [-1, 'star_last']])} <= 0`);
  }
}
