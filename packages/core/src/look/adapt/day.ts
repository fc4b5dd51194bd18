import { isAtEyesOrLips, sidesWhere } from '../../face';
import { chromaOf } from '../../colour';
import { msg, term } from '../../messages';
import { isFlushed } from '../../shade';
import { titleOf, type LookStep } from '../document';
import { basesFace, primesSkin, setsSkin } from '../ofSkin';
import { inOrder } from '../phaseOrder';
import { both, noted, rounded, type Adapter, type Adder, type AdaptTo } from './adapter';

const lasts = (words: string): string => msg`it has to hold: ${words}`;

/**
 * Whether it is the last spray of a face, or the only one, which a day may have added: what lies under
 * another is held by that one.
 */
function isLastSpray(step: LookStep, look: AdaptTo['look']): boolean {
  if (!step.wants.kinds.includes('spray')) return false;
  const sprays = inOrder(look.steps, look).filter(
    ({ variant, wants }) =>
      wants.kinds.includes('spray') && (variant === undefined || variant === step.variant),
  );
  return sprays.length === 0 || sprays.at(-1)!.id === step.id;
}

/** Under this a lip is a tint, mg a cm2: there is nothing to blot, and powder would be all that is seen. */
const TINT_MG_PER_CM2 = 1.5;
/** Whether a lip is one that blotting and powdering would take away: a tint, or one asked to shine. */
function goesWithBlotting({ doseMgPerCm2, wants: { finishes = [] } }: LookStep): boolean {
  const shines = finishes.length > 0 && finishes.every((one) => one === 'dewy' || one === 'shimmer');
  return doseMgPerCm2 < TINT_MG_PER_CM2 || shines;
}

/** What hours, heat, tears, meals, lights and camera change. */
export const DAY_ADAPTERS: readonly Adapter[] = [
  {
    id: 'thin layers for long wear',
    change: (step, { day, features }) => {
      if (
        step.role !== 'base' ||
        isAtEyesOrLips(step) ||
        features.age === 'child' ||
        step.tool === 'airbrush' ||
        !(day.long || day.heat || day.humidity)
      )
        return null;
      const note = noted(step, msg`Two thin layers, each pressed and left to settle: thin layers last.`);
      return note === step.note
        ? null
        : {
            words: msg`Laid in two thin layers`,
            why: lasts(day.words),
            set: { note, handsOnMinutes: step.handsOnMinutes + 2 },
          };
    },
  },
  {
    id: 'lighter for a short hour',
    change: (step, { day }) =>
      step.role === 'base' && day.hours <= 3 && !day.heat && !day.dancing
        ? {
            words: msg`A lighter base`,
            why: msg`a short hour asks for no hold`,
            set: { doseMgPerCm2: rounded(0.85 * step.doseMgPerCm2) },
          }
        : null,
  },
  {
    id: 'more powder for heat',
    change: (step, { day, features }) =>
      setsSkin(step) && (day.heat || day.humidity) && !features.dry
        ? {
            words: msg`A little more powder`,
            why: day.words,
            set: { doseMgPerCm2: rounded(Math.min(0.65, 1.2 * step.doseMgPerCm2)) },
          }
        : null,
  },
  {
    id: 'waterproof',
    change: (step, { day, features }) => {
      if (!step.wants.kinds.includes('mascara') || !day.wet || features.age === 'child') return null;
      const note = noted(step, msg`Waterproof or tubing; lower lashes bare or once over.`);
      return note === step.note ? null : { words: msg`Waterproof mascara`, why: day.words, set: { note } };
    },
  },
  {
    id: 'lip through a meal',
    change: (step, { day, features }) => {
      if (
        step.role !== 'lip' ||
        features.age === 'child' ||
        !step.wants.kinds.includes('lip colour') ||
        !(day.meals || day.long)
      )
        return null;
      const again = goesWithBlotting(step);
      const note = noted(
        step,
        again
          ? msg`It goes with what is eaten and drunk: packed for touch-ups.`
          : msg`Blot, powder through a tissue, a second thin coat; packed for touch-ups.`,
      );
      if (note === step.note) return null;
      return again
        ? { words: msg`Lip to be put on again`, why: day.words, set: { note } }
        : {
            words: msg`Lip in two blotted coats`,
            why: lasts(day.words),
            set: { note, handsOnMinutes: step.handsOnMinutes + 1 },
          };
    },
  },
  {
    id: 'strong hold',
    change: (step, { day, features, look }) =>
      isLastSpray(step, look) &&
      features.age !== 'child' &&
      (day.long || day.heat || day.humidity || day.dancing || day.rain)
        ? {
            words: msg`Sprayed twice, dried between`,
            why: lasts(day.words),
            set: { passes: Math.max(2, step.passes), waitMinutes: Math.max(1, step.waitMinutes) },
          }
        : null,
  },
  {
    id: 'more for the camera',
    change: (step, { client, day, look, features }) =>
      step.role === 'blush' &&
      day.camera &&
      look.schools.contrast === 'bold' &&
      features.age !== 'child' &&
      !isFlushed(client.skin)
        ? {
            words: msg`A little more colour`,
            why: msg`camera and distance eat intensity`,
            set: { doseMgPerCm2: rounded(1.15 * step.doseMgPerCm2) },
          }
        : null,
  },
  {
    id: 'more in dim light',
    change: (step, { client, day, features }) =>
      step.role === 'blush' && day.dim && !day.camera && features.age !== 'child' && !isFlushed(client.skin)
        ? {
            words: msg`A little more colour`,
            why: msg`weak warm light eats red`,
            set: { doseMgPerCm2: rounded(1.15 * step.doseMgPerCm2) },
          }
        : null,
  },
  {
    id: 'less by plain daylight',
    change: (step, { day, features }) =>
      step.role === 'blush' && !day.camera && !day.dim && !day.long && features.age !== 'child'
        ? {
            words: msg`A little less colour`,
            why: msg`daylight and no camera`,
            set: { doseMgPerCm2: rounded(0.9 * step.doseMgPerCm2) },
          }
        : null,
  },
  {
    id: 'metals on olive',
    change: (step, { undertone, skin, look }) =>
      step.role === 'eye' &&
      undertone === 'olive' &&
      skin !== null &&
      chromaOf(skin) > 0 &&
      step.wants.finishes?.includes('shimmer') === true &&
      !look.forbids.finishes.includes('shimmer') &&
      step.wants.finishes.length > 1
        ? {
            words: msg`Metal on the lid`,
            why: msg`olive skin carries metals`,
            set: { wants: { ...step.wants, finishes: ['shimmer'] } },
          }
        : null,
  },
];

const plan = (
  more: Partial<Omit<LookStep, 'id'>> & Pick<LookStep, 'phase' | 'role' | 'title' | 'wants'>,
): Omit<LookStep, 'id'> => ({
  shade: null,
  placements: [],
  doseMgPerCm2: 0.5,
  passes: 1,
  tool: 'finger',
  technique: 'press',
  handsOnMinutes: 2,
  waitMinutes: 0,
  note: '',
  ...more,
});

/** Steps a day asks for that the look has not got. */
export const DAY_ADDERS: readonly Adder[] = [
  {
    id: 'a spray to hold it',
    add: (steps, { day, look, features }) => {
      const has = steps.some((s) => s.wants.kinds.includes('spray'));
      const base = steps.some(basesFace);
      if (has || !base || !day.long || features.age === 'child' || look.forbids.kinds.includes('spray'))
        return [];
      return [
        {
          step: plan({
            phase: 'finish',
            role: 'care',
            title: msg`Spray to hold it`,
            wants: { kinds: ['spray'] },
            placements: [both('zone.wholeFace')],
            doseMgPerCm2: 0.6,
            tool: 'none',
            technique: 'spray',
            waitMinutes: 1,
          }),
          words: msg`A holding spray`,
          why: lasts(day.words),
        },
      ];
    },
  },
];

/** Steps a client or a day asks for that the look has not got. */
export const ADDERS: readonly Adder[] = [
  ...DAY_ADDERS,
  {
    id: 'a primer for oil',
    add: (steps, { features, look }) => {
      const oily = features.oily.filter((zone) => zone !== 'lids');
      const missing = !steps.some(primesSkin) && steps.some(basesFace);
      if (!missing || oily.length === 0 || look.forbids.kinds.includes('primer')) return [];
      return [
        {
          step: plan({
            phase: 'prime',
            role: 'care',
            title: msg`Primer where it needs it`,
            wants: { kinds: ['primer'], finishes: ['matte'] },
            placements: [both('zone.foreheadCentre')],
            doseMgPerCm2: 0.8,
            waitMinutes: 2,
          }),
          words: msg`A mattifying primer`,
          why: msg`oily at ${oily.map((one) => term(one)).join(', ')}`,
        },
      ];
    },
  },
  {
    id: 'powder for oil',
    add: (steps, { features, look }) => {
      const oily = features.oily.filter((zone) => zone !== 'lids');
      const missing = !steps.some(setsSkin) && steps.some(basesFace);
      if (!missing || oily.length === 0 || look.forbids.kinds.includes('powder')) return [];
      return [
        {
          step: plan({
            phase: 'set',
            role: 'powder',
            title: msg`Set where it moves`,
            shade: { relative: { to: 'skin', depthSteps: 0 } },
            wants: { kinds: ['powder'] },
            placements: [both('zone.noseSide'), both('zone.foreheadCentre'), both('zone.chin')],
            doseMgPerCm2: 0.35,
            tool: 'puff',
          }),
          words: msg`Powder where it shines`,
          why: msg`oily at ${oily.map((one) => term(one)).join(', ')}`,
        },
      ];
    },
  },
  {
    id: 'a liner for lip lines',
    add: (steps, { features, look }) => {
      const lined = sidesWhere(features, ({ lines }) => lines.includes('lip')).length > 0;
      const blurred = sidesWhere(features, ({ lipEdge }) => lipEdge === 'blurred').length > 0;
      const lips = steps.filter((s) => s.role === 'lip' && s.wants.kinds.includes('lip colour'));
      const missing = !steps.some((s) => s.wants.kinds.includes('lip liner'));
      if (
        lips.length === 0 ||
        !missing ||
        !(lined || blurred) ||
        features.age === 'child' ||
        look.forbids.kinds.includes('lip liner')
      )
        return [];
      // A lip of a variant has its own liner: a ring of the day’s would show.
      return lips.map((lip) => ({
        step: plan({
          phase: 'lips',
          role: 'lip line',
          title: lip.variant ? titleOf(msg`Line the lips, ${lip.title.toLowerCase()}`) : msg`Line the lips`,
          shade: lip.shade,
          wants: { kinds: ['lip liner'] },
          placements: [both('lipLine')],
          doseMgPerCm2: 2,
          tool: 'none',
          technique: 'line',
          note: msg`A fine line, pressed with powder.`,
          ...(lip.variant ? { variant: lip.variant } : {}),
        }),
        words: msg`A fine liner round the lips`,
        why: lined ? msg`lip lines` : msg`a blurred lip edge`,
      }));
    },
  },
];
