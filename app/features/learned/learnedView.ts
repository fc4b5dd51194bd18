import { hoursAt, msg, TRIAL_ZONES, trialZoneWords, zoneWears, type Kit, type WearCheck } from '@toile/core';

const lineOf = ({ maker, line }: Kit['products'][number]): string => `${maker} ${line}`;

/** Lines the kit has something of, that is not withdrawn. */
export function linesOf({ products, units }: Kit): ReadonlySet<string> {
  const held = new Set(units.map((unit) => unit.productId));
  return new Set(products.filter((one) => held.has(one.id) && !one.withdrawn).map(lineOf));
}

/** The kit as if it had one line only. */
export function kitOfLine({ products, units }: Kit, line: string): Kit {
  const own = products.filter((one) => lineOf(one) === line);
  const ids = new Set(own.map((one) => one.id));
  return { products: own, units: units.filter((unit) => ids.has(unit.productId)) };
}

/**
 * What failed of this chart when it was worn last: a reminder from the first time on, and no more than that.
 * Null where nobody looked, or all of it held.
 */
export function lastTimeWords(checks: readonly WearCheck[]): string | null {
  const last = checks.reduce<string | null>(
    (latest, { appliedAt }) =>
      latest === null || Date.parse(appliedAt) > Date.parse(latest) ? appliedAt : latest,
    null,
  );
  const mine = checks.filter((check) => check.appliedAt === last);
  const failed = zoneWears(mine).filter(({ wear }) => wear.bad !== null);
  if (failed.length === 0) return null;
  const stung = mine.find((check) => check.stings);
  if (stung) return msg`Last time it stung after ${hoursAt(stung).toFixed(1)} h and was taken off.`;
  const said = TRIAL_ZONES.flatMap((zone) => {
    const one = failed.find((wear) => wear.zone === zone);
    return one ? [msg`${trialZoneWords(zone)} at ${one.wear.bad!.toFixed(1)} h`] : [];
  });
  return msg`Last time this needed a touch-up: ${said.join(', ')}.`;
}
