import { COLOUR_WORDS, labOfHue, type ColourWord, type Lab } from '../colour';
import { guidesFor, type GuideName, type LayerKind } from '../face';
import type { Finish, Tool } from '../kit';
import { msg } from '../messages';
import type { Look, LookStep, Shade } from './document';
import { newStep } from './editSteps';
import type { Stamp } from './fitLook';

/** What is said of a colour beside its name, and what it does to it. */
export const COLOUR_TONES = ['pale', 'as it is', 'deep'] as const;
export type ColourTone = (typeof COLOUR_TONES)[number];
const TONE_L: Readonly<Record<ColourTone, number>> = { pale: 14, 'as it is': 0, deep: -12 };

/** A shade as it is taken down: against the wearer's skin, by a word, as read, or none. */
export type TakenShade =
  | { readonly by: 'skin'; readonly depthSteps: number }
  | { readonly by: 'word'; readonly word: ColourWord; readonly tone: ColourTone }
  | { readonly by: 'reading'; readonly lab: Lab }
  | { readonly by: 'none' };

/** One step, as it was seen. */
export type TakenStep = {
  readonly role: LayerKind;
  /** Where it was laid: at least one place. */ readonly guides: readonly GuideName[];
  readonly shade: TakenShade;
  readonly tool: Tool;
  readonly finish: Finish | null;
};

/** Zones a kind of layer is laid over beside its guides, the usual one first. */
const ZONES_OF: Partial<Record<LayerKind, readonly GuideName[]>> = {
  base: ['zone.wholeFace', 'zone.neck'],
  conceal: ['zone.underEye', 'zone.ala', 'zone.chin'],
  powder: ['zone.wholeFace', 'zone.underEye'],
  eye: ['zone.mobileLid'],
};
/** Where a guide that is not the usual one comes first by name. */
const USUALLY: Partial<Record<LayerKind, GuideName>> = { lash: 'lashes', liner: 'liner' };
/** Where a kind of layer may be laid, as somebody who watches would call it, the usual place first. */
export function placesFor(role: LayerKind): readonly GuideName[] {
  const zones = ZONES_OF[role] ?? [];
  const usual = USUALLY[role];
  if (usual) return [usual, ...guidesFor(role).filter((guide) => guide !== usual), ...zones];
  return role === 'powder' || role === 'eye'
    ? [...guidesFor(role), ...zones]
    : [...zones, ...guidesFor(role)];
}

/** What is usual for a kind of layer: what somebody who watches has not said yet. */
export function usualTaken(role: LayerKind): TakenStep {
  const { shade, tool } = newStep(role, '');
  return {
    role,
    guides: placesFor(role).slice(0, 1),
    shade:
      shade && 'relative' in shade
        ? { by: 'skin', depthSteps: shade.relative.depthSteps }
        : role === 'lash' || role === 'adornment'
          ? { by: 'none' }
          : { by: 'word', word: USUAL_WORD[role] ?? 'brown', tone: 'as it is' },
    tool,
    finish: null,
  };
}
const USUAL_WORD: Partial<Record<LayerKind, ColourWord>> = {
  blush: 'rose',
  eye: 'taupe',
  liner: 'black',
  brow: 'brown',
  lip: 'rose',
  'lip line': 'rose',
};

/** A word's colour; paler and deeper ones keep their hue. */
export function colourOfWord(word: ColourWord, tone: ColourTone): Lab {
  const [L, a, b] = COLOUR_WORDS[word];
  return labOfHue(
    Math.min(94, Math.max(8, L + TONE_L[tone])),
    Math.hypot(a, b) * (tone === 'pale' ? 0.75 : 1),
    (Math.atan2(b, a) * 180) / Math.PI,
  );
}

function shadeOf(shade: TakenShade): Shade {
  const rounded = (lab: Lab): [number, number, number] => [round(lab[0]), round(lab[1]), round(lab[2])];
  switch (shade.by) {
    case 'skin':
      return { relative: { to: 'skin', depthSteps: Math.max(-6, Math.min(6, shade.depthSteps)) } };
    case 'word':
      return { lab: rounded(colourOfWord(shade.word, shade.tone)) };
    case 'reading':
      return { lab: rounded(shade.lab) };
    case 'none':
      return null;
  }
}
const round = (value: number): number => Math.round(value * 10) / 10;

/** Which way of doing an order shows: what came first. */
function schoolsOf(steps: readonly TakenStep[]): Look['schools'] {
  const first = (...roles: readonly LayerKind[]): number =>
    steps.findIndex(({ role }) => roles.includes(role));
  const base = first('base');
  const before = (at: number): boolean => at >= 0 && base >= 0 && at < base;
  const [eyes, contour, conceal] = [first('eye', 'liner', 'lash'), first('contour'), first('conceal')];
  return {
    eyesOrFace: before(eyes) ? 'eyes first' : 'face first',
    contour:
      contour < 0
        ? first('bronze') < 0
          ? 'none'
          : 'bronzer only'
        : before(contour)
          ? 'under base'
          : 'over base',
    concealer: before(conceal) ? 'under base' : 'over base',
    contrast: 'soft',
  };
}

/**
 * A look taken down while watching: role, where, shade, tool and order as they were seen, all else as is
 * usual for each layer. `ids` gives each step its own. Throws a RangeError without a step or a name.
 */
export function lookTakenDown(
  name: string,
  taken: readonly TakenStep[],
  stamp: Stamp,
  ids: () => string,
): Look {
  if (taken.length === 0) throw new RangeError('lookTakenDown: take down at least one step');
  if (name.trim() === '') throw new RangeError('lookTakenDown: give the look a name');
  const counts = new Map<LayerKind, number>();
  const steps = taken.map(({ role, guides, shade, tool, finish }): LookStep => {
    const {
      use: _use,
      done: _done,
      ...plan
    } = newStep(
      role,
      ids(),
      guides.map((guide) => ({ guide, side: 'both' })),
    );
    const nth = (counts.get(role) ?? 0) + 1;
    counts.set(role, nth);
    return {
      ...plan,
      title: nth === 1 ? plan.title : `${plan.title} ${nth}`,
      tool,
      shade: shadeOf(shade),
      wants: {
        ...plan.wants,
        ...(finish ? { finishes: [finish] } : {}),
        ...(role === 'base' ? { mix: true } : {}),
      },
    };
  });
  return {
    format: 'toile.look/1',
    ...stamp,
    version: 1,
    parent: null,
    name: name.trim(),
    description: msg`Taken down while watching: places and order as seen, shades by word or reading.`,
    tags: [msg`taken down`],
    schools: schoolsOf(taken),
    forbids: { finishes: [], kinds: [] },
    variants: [],
    steps,
  };
}
