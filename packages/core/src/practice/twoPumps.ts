import { capital } from '../capital';
import { deltaE2000, labUnder, mixSpectra, shiftDepth, type Lab } from '../colour';
import { shuffled, type Random } from '../math';
import { msg } from '../messages';
import { besideInWords, opticsOf } from '../shade';
import { scoreRegret } from './answers';

/** A pan of base to pump from. */
export type Pump = { readonly id: string; readonly lab: Lab };
export type PumpPair = { readonly ids: readonly [string, string]; readonly lab: Lab; readonly off: number };

/**
 * How far pans lie from the skin at each level, shade steps: the nearer, the harder to tell which two
 * straddle it.
 */
const APART = [1.8, 1.2, 0.8] as const;
const PANS = 5;
/** The best pair is at least so near, and so much nearer than the next: one right answer, worth finding. */
const NEAR = 1.5;
const CLEAR = 0.4;
const TRIES = 60;

/** One pump of each of two bases, stirred: CIELAB, D65, by single-constant Kubelka-Munk. */
export function pumped(one: Lab, other: Lab): Lab {
  const parts = [one, other].map((lab) => ({
    spectrum: opticsOf({ lab, coverage: 'medium' }).masstone,
    parts: 1,
  }));
  return labUnder(mixSpectra(parts), 'D65');
}

/** Every two pumps there are, of one pan or of two, the nearest to a skin first. */
export function pumpPairs(skin: Lab, pans: readonly Pump[]): PumpPair[] {
  return pans
    .flatMap((one, i) =>
      pans.slice(i).map((other): PumpPair => {
        const lab = pumped(one.lab, other.lab);
        return { ids: [one.id, other.id], lab, off: deltaE2000(lab, skin) };
      }),
    )
    .sort((a, b) => a.off - b.off);
}

/**
 * Pans two of which lie on either side of a skin, and three that tempt; null where chance would not have it.
 */
export function pumpsFor(skin: Lab, level: 0 | 1 | 2, random: Random): readonly Pump[] | null {
  const apart = APART[level];
  const between = (least: number, most: number): number => least + (most - least) * random();
  for (let tries = 0; tries < TRIES; tries++) {
    const turned = (lab: Lab, by: number): Lab => [lab[0], lab[1] - by, lab[2] + by];
    const lean = between(-2.5, 2.5);
    const deeper = apart * between(0.8, 1.2);
    const labs = [
      turned(shiftDepth(skin, deeper), lean),
      turned(shiftDepth(skin, -deeper * between(0.8, 1.1)), -lean),
      ...Array.from({ length: PANS - 2 }, () =>
        turned(shiftDepth(skin, (random() < 0.5 ? -1 : 1) * apart * between(0.6, 2)), between(-5, 5)),
      ),
    ];
    const pans = shuffled(labs, random).map((lab, i) => ({ id: String.fromCharCode(97 + i), lab }));
    const [best, next] = pumpPairs(skin, pans);
    if (best!.off <= NEAR && best!.ids[0] !== best!.ids[1] && next!.off - best!.off >= CLEAR) return pans;
  }
  return null;
}

const said = ([one, other]: PumpPair['ids']): string =>
  one === other ? msg`two of ${one.toUpperCase()}` : msg`${one.toUpperCase()} and ${other.toUpperCase()}`;

/** Two pumps against the best two, in words: how far off, and which way. Null for a pan that is not there. */
export function judgePumps(
  skin: Lab,
  pans: readonly Pump[],
  ids: readonly [string, string],
): {
  readonly score: number;
  readonly off: number;
  readonly first: string;
  readonly well: string | null;
} | null {
  const pairs = pumpPairs(skin, pans);
  const best = pairs[0]!;
  const mine = pairs.find(
    (pair) =>
      (pair.ids[0] === ids[0] && pair.ids[1] === ids[1]) ||
      (pair.ids[0] === ids[1] && pair.ids[1] === ids[0]),
  );
  if (!mine) return null;
  const off = mine.off - best.off;
  const same = off <= 0.3;
  return {
    score: scoreRegret(mine.off, best.off),
    off,
    first: same
      ? msg`${capital(said(mine.ids))} come nearest: ${mine.off.toFixed(1)} from the skin.`
      : msg`${capital(said(mine.ids))} are ${mine.off.toFixed(1)} off, ${besideInWords(skin, mine.lab)}; ${said(best.ids)} come to ${best.off.toFixed(1)}: look for two that lie on either side of the skin.`,
    well: !same && mine === pairs[1] ? msg`Yours is the next best.` : null,
  };
}
