import type { Mode, Model, Unit } from './model';

const { min, max } = Math;

/** Whether a unit can still be done in some way. */
export function alive(unit: Unit, domains: readonly Uint8Array[]): boolean {
  return unit.ways.some((way) =>
    way.modes.every((modes) => modes.some((mode) => domains[mode.index]!.includes(1))),
  );
}

/**
 * Compulsory parts: a task that only one worker can do, and that in every start covers some slots, takes them
 * from her other work and from the person's other tasks. False when somebody is left without a way.
 */
export function propagate(model: Model, domains: readonly Uint8Array[]): boolean {
  for (let again = true, turns = 0; again && turns < 6; turns++) {
    again = false;
    for (const unit of model.units) {
      const ways = unit.ways.filter((way) =>
        way.modes.every((modes) => modes.some((m) => domains[m.index]!.includes(1))),
      );
      if (ways.length === 0) return false;
      const [way] = ways;
      if (ways.length > 1 || !way) continue;
      for (const modes of way.modes) {
        const live = modes.filter((mode) => domains[mode.index]!.includes(1));
        const first = min(...live.map((mode) => domains[mode.index]!.indexOf(1)));
        const last = max(...live.map((mode) => domains[mode.index]!.lastIndexOf(1)));
        const [sole] = live;
        if (!sole || sole.pinned) continue;
        const least = min(...live.map((mode) => mode.personSlots));
        if (last < first + least) {
          for (const others of way.modes)
            if (others !== modes)
              for (const other of others)
                if (strike(domains, other, last, first + least, other.personSlots)) again = true;
        }
        if (live.length === 1 && last < first + sole.workerSlots)
          for (const other of model.modes)
            if (other.worker === sole.worker && other.task !== sole.task && !other.pinned)
              if (strike(domains, other, last, first + sole.workerSlots, other.workerSlots)) again = true;
      }
    }
  }
  return true;
}

/** Strikes the starts of a mode that would cover slots [from, to); whether any was. */
function strike(
  domains: readonly Uint8Array[],
  mode: Mode,
  from: number,
  to: number,
  slots: number,
): boolean {
  const domain = domains[mode.index]!;
  let any = false;
  for (let s = max(0, from - slots + 1); s < min(domain.length, to); s++) {
    if (domain[s]) {
      domain[s] = 0;
      any = true;
    }
  }
  return any;
}
