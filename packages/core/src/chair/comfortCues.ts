import { zoneMostlyUnder, type GuideName, type ZoneName } from '../face';
import type { Chart, Step } from '../look';
import { msg } from '../messages';
import { isSettled } from './progress';

/** After this long in the chair a break is due; after the other it is offered whatever is worked, minutes. */
const BREAK = { due: 60, long: 90 } as const;
/** Between two ticks further apart somebody stood up, minutes. */
const STOOD_UP = 120;

type Places = { readonly guides: readonly GuideName[]; readonly zones: readonly ZoneName[] };
const UNDER_EYE: Places = {
  guides: ['correctUnderEye', 'underEyeLight', 'innerComma', 'lowerLine', 'underDots'],
  zones: ['underEye'],
};
const INNER_CORNER: Places = { guides: ['innerCornerLight'], zones: ['innerCorner'] };
const SOCKET: Places = { guides: ['socket', 'outerLid', 'openLid'], zones: ['crease'] };
const LID: Places = { guides: ['lid', 'innerLid', 'lidCentre'], zones: ['mobileLid'] };

/**
 * What a client is asked at a step: where to look, what to keep still or closed, when to rest. By where it
 * lies, also where it was drawn by hand, and by what is laid. Empty where nothing is to be said.
 */
export function comfortCues(
  step: Pick<Step, 'role' | 'tool' | 'use' | 'placements'>,
  { landmarks, features }: Pick<Chart['client'], 'landmarks' | 'features'>,
  minutesIn: number,
): string[] {
  const guides = step.placements.flatMap((p) => ('guide' in p ? [p.guide] : []));
  const zones = step.placements.flatMap((p) =>
    'guide' in p ? [] : (zoneMostlyUnder(p, landmarks, features) ?? []),
  );
  const lies = (places: Places): boolean =>
    guides.some((guide) => places.guides.includes(guide)) ||
    places.zones.some((zone) => zones.includes(zone) || guides.includes(`zone.${zone}`));
  const lays = (kind: Step['wants']['kinds'][number]): boolean =>
    step.use.some(({ product }) => product.kind === kind);
  const { role, tool } = step;
  const underEye = role !== 'lash' && lies(UNDER_EYE);
  const cues: (string | false)[] = [
    tool === 'airbrush'
      ? msg`Eyes and mouth closed, ear-rings off, a cape on; keep air moving.`
      : lays('spray') && msg`Eyes and mouth closed while it is sprayed and until it is dry; keep air moving.`,
    ...(role === 'lash' ? lashCues(guides, lays('lashes')) : []),
    underEye && msg`Look up and away from the brush.`,
    !underEye && lies(INNER_CORNER) && msg`Look away from the brush.`,
    role === 'liner' &&
      (guides.includes('tightLine')
        ? msg`Look down; the lid is lifted, never tugged; stop at stinging.`
        : msg`Look straight ahead, then rest the lid; stop at stinging.`),
    role === 'eye' && lies(SOCKET) && msg`Eyes open and straight ahead while it is placed.`,
    role === 'eye' && lies(LID) && msg`Eyes closed and the brows relaxed while the lid is filled.`,
    (role === 'lip' || role === 'lip line') && msg`Lips relaxed and a little apart.`,
    minutesIn >= BREAK.due && role === 'care'
      ? msg`A break is due: water, and a stretch.`
      : minutesIn >= BREAK.long && msg`Long in the chair: offer a break.`,
  ];
  return cues.filter((cue) => cue !== false);
}

/** Glue is kept away from an open eye; upper lashes are reached looking down, lower ones looking up. */
function lashCues(guides: readonly GuideName[], glued: boolean): string[] {
  if (glued) return [msg`Eyes closed and still until the glue holds; stop at stinging.`];
  const lower = guides.includes('lowerLashes');
  const upper = !lower || guides.some((guide) => guide !== 'lowerLashes');
  return [
    ...(upper ? [msg`Look down; the lid is lifted, never tugged.`] : []),
    ...(lower ? [msg`Look up for the lower lashes.`] : []),
  ];
}

/**
 * How long somebody has sat by what was ticked or skipped, minutes: from before the first step of this
 * sitting to the last one told. None while nothing was.
 */
export function minutesSat(steps: readonly Step[]): number {
  const told = steps
    .flatMap((step) =>
      step.done && isSettled(step)
        ? [{ at: Date.parse(step.done.at) / 60_000, took: step.handsOnMinutes }]
        : [],
    )
    .sort((a, b) => b.at - a.at);
  const [last] = told;
  if (!last) return 0;
  const apart = told.findIndex(({ at }, i) => i > 0 && told[i - 1]!.at - at > STOOD_UP);
  const first = told[(apart < 0 ? told.length : apart) - 1]!;
  return last.at - first.at + first.took;
}
