import { familiesMeant, toBeMinded } from '../../care';
import { deltaE2000 } from '../../colour';
import { isBelowTheJaw, offSides, sidesWhere } from '../../face';
import { listedFew } from '../../listed';
import { msg, term } from '../../messages';
import { apartInWords, faceColour, isFlushed, isLined, partsApart, skinTarget } from '../../shade';
import type { LookStep } from '../document';
import { TOOLS_TO_MIND } from '../toolsToMind';
import {
  both,
  exchanged,
  has,
  linedUnderEye,
  noted,
  rounded,
  sidesInWords,
  textured,
  type Adapter,
  type GuideName,
} from './adapter';

const isKind = (step: LookStep, kind: LookStep['wants']['kinds'][number]): boolean =>
  step.wants.kinds.includes(kind);

/** Another colour difference of face and neck than this is seen at the jaw. */
const NECK_DIFFERS = 3;

/** What lined and textured skin, a beard and a neck of another colour change. */
export const SKIN_ADAPTERS: readonly Adapter[] = [
  {
    id: 'inner corner only',
    change: (step, { features }) => {
      const sides = linedUnderEye(features);
      if (step.role !== 'conceal' || sides.length === 0) return null;
      const placements = exchanged(step, ['underEyeLight', 'zone.underEye'], 'innerComma', sides);
      return placements
        ? {
            words: msg`Concealer at the inner corner only, ${sidesInWords(sides)}`,
            why: msg`lines under the eye`,
            set: { placements, doseMgPerCm2: rounded(0.8 * step.doseMgPerCm2) },
          }
        : null;
    },
  },
  {
    id: 'no wedge on crow’s feet',
    change: (step, { features }) => {
      const lined = sidesWhere(features, ({ lines }) => lines.includes('crow’s feet'));
      if (!has(step, 'outerWedge') || lined.length === 0) return null;
      const placements = offSides(step.placements, 'outerWedge', lined);
      if (
        placements.length === step.placements.length &&
        placements.every((p, i) => p === step.placements[i])
      )
        return null;
      const why = msg`it gathers in the lines beside the eye`;
      return placements.length === 0
        ? { words: msg`Outer wedge left out`, why, leftOut: true }
        : { words: msg`No outer wedge on ${sidesInWords(lined)}`, why, set: { placements } };
    },
  },
  {
    id: 'base on lined skin',
    change: (step, { features }) =>
      step.role === 'base' && isLined(features) && step.tool !== 'airbrush'
        ? {
            words: msg`A thinner base, pressed`,
            why: msg`lined skin: thin layers last, stacked ones crack`,
            set: { technique: 'press', doseMgPerCm2: rounded(0.88 * step.doseMgPerCm2) },
          }
        : null,
  },
  {
    id: 'stipple over texture',
    change: (step, { features }) =>
      ['base', 'conceal', 'blush'].includes(step.role) &&
      textured(features) &&
      (step.technique === 'buff' || step.technique === 'sweep' || step.role === 'base') &&
      step.tool !== 'airbrush' &&
      step.technique !== 'stipple'
        ? { words: msg`Stippled`, why: msg`circles show pores and texture`, set: { technique: 'stipple' } }
        : null,
  },
  {
    id: 'less colour on red cheeks',
    change: (step, { client }) => {
      if (step.role !== 'blush' || !isFlushed(client.skin)) return null;
      const note = noted(step, msg`After the base: whatever red shows through it is colour already.`);
      return note === step.note
        ? null
        : {
            words: msg`A little less colour`,
            why: msg`the cheeks are red of themselves`,
            set: { note, doseMgPerCm2: rounded(0.8 * step.doseMgPerCm2) },
          };
    },
  },
  {
    id: 'light off texture and oil',
    change: (step, { features }) => {
      if (step.role !== 'highlight' || !isKind(step, 'highlight')) return null;
      const why = textured(features)
        ? msg`texture`
        : isLined(features)
          ? msg`lined skin`
          : features.oily.includes('cheeks')
            ? msg`skin that shines there`
            : null;
      return why === null || step.wants.finishes?.join() === 'satin,natural'
        ? null
        : {
            words: msg`Satin light, no shimmer`,
            why,
            set: { wants: { ...step.wants, finishes: ['satin', 'natural'] } },
          };
    },
  },
  {
    id: 'no light on an oily forehead or chin',
    change: (step, { features }) => {
      const off: readonly GuideName[] = [
        ...(features.oily.includes('forehead') ||
        sidesWhere(features, ({ lines }) => lines.includes('forehead')).length > 0
          ? (['foreheadLight'] as const)
          : []),
        ...(features.oily.includes('chin') ? (['chinLight'] as const) : []),
      ];
      if (step.role !== 'highlight' || !has(step, ...off)) return null;
      const placements = step.placements.filter((p) => !('guide' in p) || !off.includes(p.guide));
      const why = msg`light is not laid on lines or where skin shines by itself`;
      const words = off
        .map((g) => (g === 'foreheadLight' ? 'forehead' : 'chin'))
        .map((one) => term(one))
        .join(msg` and `);
      return placements.length === 0
        ? { words: msg`${step.title} left out`, why, leftOut: true }
        : { words: msg`No light on the ${words}`, why, set: { placements } };
    },
  },
  {
    id: 'beard',
    change: (step, { features }) => {
      if (!features.beard) return null;
      const hidden: readonly GuideName[] = [
        'jawContour',
        'jawCornerContour',
        'jawEdgeContour',
        'chinLight',
        'underLipContour',
      ];
      if (has(step, ...hidden)) {
        const placements = step.placements.filter((p) => !('guide' in p) || !hidden.includes(p.guide));
        const why = msg`a beard hides it, and product sits on the hairs`;
        return placements.length === 0
          ? { words: msg`${step.title} left out`, why, leftOut: true }
          : { words: msg`Nothing under the beard`, why, set: { placements } };
      }
      if (step.role !== 'base' || isBelowTheJaw(step)) return null;
      const sprayed = step.tool === 'airbrush';
      const note = noted(
        step,
        sprayed
          ? msg`The beard is covered with a card or a hand: what is sprayed sits on the hairs.`
          : msg`Stippled into the skin above the beard; kept off the hairs.`,
      );
      return note === step.note
        ? null
        : {
            words: sprayed ? msg`Thin, the beard covered` : msg`Thin and stippled, off the hairs`,
            why: msg`a beard`,
            set: {
              technique: sprayed ? step.technique : 'stipple',
              note,
              doseMgPerCm2: rounded(0.85 * step.doseMgPerCm2),
            },
          };
    },
  },
  ...TOOLS_TO_MIND.map(({ family, tools, free }): Adapter => ({
    id: `tools free of ${family}`,
    change: (step, { client }) => {
      const minded = client.sensitivities.some((one) => familiesMeant(one).includes(family));
      if (!minded || !tools.some((tool) => tool === step.tool)) return null;
      const words = msg`A ${term(free)} ${step.tool === 'damp sponge' ? msg`sponge` : term(step.tool)}`;
      const note = noted(step, `${words}.`);
      return note === step.note ? null : { words, why: msg`${term(family)} is noted`, set: { note } };
    },
  })),
  {
    id: 'patch test of the glue',
    change: (step, { client }) => {
      const minded = toBeMinded(client.sensitivities);
      if (!step.wants.kinds.includes('lashes') || minded.length === 0) return null;
      const note = noted(step, msg`Patch test of the glue 24 to 48 hours before; without a result no band.`);
      return note === step.note
        ? null
        : {
            words: msg`Glue only after a patch test`,
            why: msg`${listedFew(minded.map((one) => term(one)))} noted`,
            set: { note },
          };
    },
  },
  {
    id: 'a face of more than one colour',
    change: (step, { client }) => {
      const from = skinTarget(client.skin);
      const apart = from && partsApart(client.skin, from);
      if (step.role !== 'base' || !from || !apart?.length || !has(step, 'zone.wholeFace')) return null;
      const note = noted(
        step,
        msg`Where the skin is of another colour: correct it thinly first, lay a second shade there, or leave it as it is. Ask which.`,
      );
      return note === step.note
        ? null
        : {
            words: msg`One shade does not meet all of this face`,
            why: apartInWords(apart, from),
            set: { note },
          };
    },
  },
  {
    id: 'carried down the neck',
    change: (step, { client }) => {
      const [face, neck] = [faceColour(client.skin), client.skin.neck];
      if (step.role !== 'base' || !face || !neck || !has(step, 'zone.wholeFace') || has(step, 'zone.neck'))
        return null;
      const off = deltaE2000(face, neck);
      return off > NECK_DIFFERS
        ? {
            words: msg`Carried down the neck`,
            why: msg`the neck is ${off.toFixed(1)} from the face${neck[0] > face[0] ? msg`, lighter` : msg`, deeper`}`,
            set: { placements: [...step.placements, both('zone.neck')] },
          }
        : null;
    },
  },
];
