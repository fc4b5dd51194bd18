import { msg, term } from '../messages';
import type { LineMiss } from './lineMiss';
import type { Part, PartName } from './score';

/** What was asked, in the words of the face. */
export type LineTask = {
  /** The client's side. */ readonly side: 'left' | 'right';
  /** Where the guide begins and ends, as said: 'at the ear'. */ readonly startWords: string;
  readonly endWords: string;
  /** What lies on either side: positive `sideMm` and negative. */ readonly towards: readonly [
    positive: string,
    negative: string,
  ];
  /** One cure for a line beside its place. */ readonly cure: string;
  /** How a pen's stroke faded against its guide, in doublings: positive where too much is left at the end. */
  readonly fade?: number | null;
  /** A limit the stroke runs past, in words with its mm; null: none. */ readonly breach?: string | null;
};

/** A line under this lies beside its guide. */
const NEAR_ENOUGH = 60;
/** A line that begins or ends further beside its guide than this is not praised for where it does. */
const BESIDE_MM = 3;
/** Parts within this are not worth a word. */
const FINE = 97;
const mm = (value: number): string => msg`${Math.round(Math.abs(value))} mm`;

/**
 * The worst thing first, with one cure, and one thing that was right: never a bare number. The worst is the
 * part that costs the most, by its weight and its score.
 */
export function feedback(
  parts: readonly Part[],
  miss: LineMiss,
  task: LineTask,
): { readonly first: string; readonly well: string | null } {
  const costs = parts
    .map((one) => ({ ...one, cost: one.weight * Math.log(100 / Math.max(1, one.score)) }))
    .sort((a, b) => b.cost - a.cost);
  const worst = costs[0];
  // Where it begins and ends is told along the guide: of a line that lies elsewhere that is no praise.
  const beside = (costs.find((one) => one.part === 'line')?.score ?? 100) < NEAR_ENOUGH;
  const nowhere = (part: PartName): boolean =>
    (part === 'start' && (beside || miss.startBesideMm > BESIDE_MM)) ||
    (part === 'end' && (beside || miss.endBesideMm > BESIDE_MM));
  const right = [...costs]
    .reverse()
    .find((one) => one.score >= 90 && one.part !== worst?.part && !nowhere(one.part));
  const well = right ? WELL[right.part](miss) : null;
  if (task.breach) return { first: task.breach, well };
  if (miss.backwards && (!worst || worst.score > 60))
    return {
      first: msg`Drawn from the other end: begin ${task.startWords}, the brush leaves most where it lands.`,
      well,
    };
  if (!worst || worst.score >= FINE) return { first: msg`On the line, from end to end.`, well: null };
  return { first: WORST[worst.part](miss, task), well };
}

const WORST: Readonly<Record<PartName, (miss: LineMiss, task: LineTask) => string>> = {
  line: ({ sideMm, meanMm }, task) =>
    Math.abs(sideMm) > 0.6 * meanMm
      ? msg`${mm(sideMm)} towards ${task.towards[sideMm > 0 ? 0 : 1]}: ${task.cure}`
      : msg`${mm(meanMm)} off on average, to both sides: rest the hand and draw it in one go.`,
  start: ({ startMm }, task) =>
    startMm > 0
      ? msg`The client's ${term(task.side)} starts ${mm(startMm)} late: begin ${task.startWords}, where most product lies.`
      : msg`The client's ${term(task.side)} starts ${mm(startMm)} too early: begin ${task.startWords}.`,
  end: ({ endMm }, task) =>
    endMm > 0
      ? msg`Ends ${mm(endMm)} short: it goes on ${task.endWords}.`
      : msg`Runs on ${mm(endMm)} too far: it ends ${task.endWords}.`,
  farthest: ({ farMm }) => msg`One place is ${mm(farMm)} off, the rest is nearer: slow down there.`,
  turn: ({ turnDegrees }) =>
    msg`Turned by ${Math.round(Math.abs(turnDegrees))} degrees: look where it ends before you begin.`,
  evenness: () => msg`The line wavers: rest the little finger, and draw from the wrist.`,
  softness: (_, { fade }) =>
    fade === undefined || fade === null
      ? msg`The edge is harder or softer than asked: press less towards the end.`
      : fade > 0
        ? msg`Too much lies at the end: press less towards it.`
        : msg`It lets go too soon: keep the pressure up towards the end.`,
  patch: () =>
    msg`The patch lies beside its place or has another size: start from its middle and work outwards.`,
};

const WELL: Readonly<Record<PartName, (miss: LineMiss) => string>> = {
  line: ({ meanMm }) => msg`The line itself is within ${Math.max(1, Math.round(meanMm))} mm.`,
  start: () => msg`It begins where it should.`,
  end: () => msg`It ends where it should.`,
  farthest: () => msg`Nowhere is it far off.`,
  turn: () => msg`The direction is right.`,
  evenness: () => msg`It is steady.`,
  softness: () => msg`The edge fades as it should.`,
  patch: () => msg`It lies where it should.`,
};
