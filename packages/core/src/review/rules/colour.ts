import { deltaE2000, depthOf, hueOf, reconstructSpectrum, undertoneOf } from '../../colour';
import { sidesWhere } from '../../face';
import { colourOfUse } from '../../look';
import { flashback, flashGradeOf } from '../../shade';
import { chromaAt, DEEP_L, found, isShiny, nameOf, VERY_FAIR_L, type Reviewed, type Rule } from '../rule';

const coloured = (on: Reviewed, role: string) =>
  on.steps.flatMap((step) => {
    const lab = step.role === role ? colourOfUse(step.use) : null;
    return lab ? [{ step, lab }] : [];
  });
const mature = (on: Reviewed): boolean => on.chart.client.features.age === 'mature';

export const COLOUR_RULES: readonly Rule[] = [
  {
    id: 'shine-in-contour',
    name: 'Contour shines',
    severity: 'caution',
    why: 'Shine reflects and undoes the shadow: contour is matte.',
    find: (on) =>
      on.steps
        .filter((s) => s.role === 'contour' && on.products(s).some(isShiny))
        .map((s) => found([s], `${s.title} uses ${nameOf(on.products(s).find(isShiny)!)}, which shines.`)),
  },
  {
    id: 'shine-on-texture',
    name: 'Shine on textured skin',
    severity: 'caution',
    why: 'Shine shows lines, large pores and bumps; satin or matte hides them.',
    find: (on) =>
      sidesWhere(on.chart.client.features, ({ texture }) => texture === 'textured').length === 0
        ? []
        : on.steps
            .filter((s) => ['highlight', 'bronze', 'blush', 'base'].includes(s.role) && on.products(s).some((p) => p.finish === 'shimmer'))
            .map((s) => found([s], `${s.title} shimmers on textured skin.`)),
  },
  {
    id: 'shimmer-on-mature',
    name: 'Shimmer on mature skin',
    severity: 'caution',
    why: 'Shimmer settles in lines; satin gives the light without them.',
    find: (on) =>
      mature(on)
        ? on.steps
            .filter((s) => ['highlight', 'eye', 'blush'].includes(s.role) && on.products(s).some((p) => p.finish === 'shimmer'))
            .map((s) => found([s], `${s.title} shimmers, and settles in lines.`))
        : [],
  },
  {
    id: 'grey-cast',
    name: 'Concealer turns grey',
    severity: 'caution',
    why: 'A lighter concealer over a shadow comes out lighter and duller than the skin: grey in the photographs. A corrector under it, or the skin’s own shade, cures it.',
    find: (on) =>
      on.steps
        .filter((s) => s.role === 'conceal' && s.placements.some((p) => 'guide' in p && p.guide === 'zone.underEye'))
        .flatMap((s) => {
          const [under, face] = [on.zone('underEye'), on.zone('cheek')];
          const seen = under ? on.over(under, s) : null;
          if (!seen || !face || on.steps.some((c) => c.role === 'correct')) return [];
          const [dL, dC] = [seen[0] - face[0], chromaAt(seen) - chromaAt(face)];
          return dL > 1.5 && dC < -2
            ? [found([s], `${s.title} is predicted ${dL.toFixed(1)} lighter and ${(-dC).toFixed(1)} duller than the skin round it: grey.`)]
            : [];
        }),
  },
  {
    id: 'ashy-powder',
    name: 'Powder turns ashy',
    severity: 'caution',
    why: 'A pale powder on deep skin turns grey: deep skin takes a powder of its own depth.',
    find: (on) =>
      on.skin === null
        ? []
        : on.steps
            .filter((s) => s.role === 'powder')
            .flatMap((s) => {
              const seen = on.over(on.skin!, s);
              return seen && seen[0] - on.skin![0] > 3 && on.skin![0] < 55
                ? [found([s], `${s.title} is predicted ${(seen[0] - on.skin![0]).toFixed(1)} lighter than her skin: ashy.`)]
                : [];
            }),
  },
  {
    id: 'white-cast',
    name: 'White cast in a flash',
    severity: 'caution',
    why: 'Some fine, pale, scattering powders and mineral filters throw a flash back. A flash photo in a dark room is the test.',
    find: (on) => {
      if (on.skin === null || !(on.chart.occasion.lights.includes('flash') || on.chart.occasion.camera)) return [];
      const surface = reconstructSpectrum(on.skin, 'D65', 'skin').spectrum;
      return on.steps.flatMap((s) => {
        const grades = on.products(s).map(flashGradeOf);
        const grade = grades.sort((a, b) => b - a)[0] ?? 0;
        const { deltaL, cast } = flashback(surface, [{ grade, doseMgPerCm2: s.doseMgPerCm2 * s.passes }]);
        return cast ? [found([s], `${s.title} may turn ${deltaL.toFixed(1)} lighter in a flash.`)] : [];
      });
    },
  },
  {
    id: 'contrast-on-mature',
    name: 'Too much contrast on mature skin',
    severity: 'note',
    why: 'Mature skin wants less contrast than two to three steps each way.',
    find: (on) =>
      !mature(on) || on.skin === null
        ? []
        : [...coloured(on, 'contour'), ...coloured(on, 'highlight')].flatMap(({ step, lab }) => {
            const steps = Math.abs(depthOf(lab) - depthOf(on.skin!));
            return steps > 2.6 ? [found([step], `${step.title} is ${steps.toFixed(1)} steps from her skin.`)] : [];
          }),
  },
  {
    id: 'orange-on-fair',
    name: 'Warm contour on very fair skin',
    severity: 'caution',
    why: 'Very fair skin goes orange easily: it takes cool pinks and taupes.',
    find: (on) =>
      on.skin === null || on.skin[0] < VERY_FAIR_L
        ? []
        : [...coloured(on, 'contour'), ...coloured(on, 'bronze')].flatMap(({ step, lab }) =>
            hueOf(lab) > 66 && chromaAt(lab) > 18 ? [found([step], `${step.title} is warm for skin this fair: it may turn orange.`)] : [],
          ),
  },
  {
    id: 'cool-contour-on-deep',
    name: 'Cool contour on deep skin',
    severity: 'caution',
    why: 'A cool shadow reads grey on deep skin; it takes red or golden undertones.',
    find: (on) =>
      on.skin === null || on.skin[0] > DEEP_L
        ? []
        : coloured(on, 'contour').flatMap(({ step, lab }) =>
            undertoneOf(lab).undertone === 'cool' ? [found([step], `${step.title} is cool on deep skin: it reads grey.`)] : [],
          ),
  },
  {
    id: 'bronzer-undertone',
    name: 'Bronzer against the undertone',
    severity: 'note',
    why: 'Bronzer follows undertone: rose-peach on pink, golden on olive and deep.',
    find: (on) => {
      const neck = on.zone('neck');
      if (!neck) return [];
      const { undertone } = undertoneOf(neck);
      return coloured(on, 'bronze').flatMap(({ step, lab }) => {
        const golden = hueOf(lab) > 62;
        if (undertone === 'cool' && golden) return [found([step], `${step.title} is golden on a pink undertone.`)];
        return undertone === 'olive' && !golden ? [found([step], `${step.title} is pink on an olive undertone.`)] : [];
      });
    },
  },
  {
    id: 'base-off-neck',
    name: 'The base leaves the neck behind',
    severity: 'caution',
    why: 'The base must agree with neck and decollete, not only with the cheek; else it is carried down over them.',
    find: (on) => {
      const neck = on.chart.client.skin.neck;
      if (!neck) return [];
      const carried = on.steps.some((s) => s.placements.some((p) => 'guide' in p && p.guide === 'zone.neck'));
      return coloured(on, 'base').flatMap(({ step, lab }) => {
        const off = deltaE2000(lab, neck);
        return off > 5 && !carried
          ? [
              found([step], `${step.title} is ${off.toFixed(1)} from her neck, and stops at the jaw.`, {
                label: 'Carry it down the neck',
                apply: (chart) => ({
                  ...chart,
                  steps: chart.steps.map((s) => (s.id === step.id ? { ...s, placements: [...s.placements, { guide: 'zone.neck', side: 'both' }] } : s)),
                }),
              }),
            ]
          : [];
      });
    },
  },
  {
    id: 'base-off-skin',
    name: 'The base does not match',
    severity: 'caution',
    why: 'Over about 3 a difference is plainly seen at the jaw, the ear and the hand.',
    find: (on) =>
      on.skin === null
        ? []
        : coloured(on, 'base').flatMap(({ step, lab }) =>
            deltaE2000(lab, on.skin!) > 4
              ? [found([step], `${step.title} is ${deltaE2000(lab, on.skin!).toFixed(1)} from her skin. Mix it, or choose another.`)]
              : [],
          ),
  },
  {
    id: 'chalky-blush',
    name: 'Blush turns to chalk',
    severity: 'caution',
    why: 'Deep skin takes deep red, plum, bright pink or orange; a pale blush turns to chalk on it.',
    find: (on) =>
      on.skin === null || on.skin[0] > DEEP_L
        ? []
        : coloured(on, 'blush').flatMap(({ step, lab }) =>
            lab[0] - on.skin![0] > 16 ? [found([step], `${step.title} is far paler than her skin: chalky.`)] : [],
          ),
  },
  {
    id: 'blush-hardly-shows',
    name: 'Blush hardly shows',
    severity: 'note',
    why: 'Camera and distance eat colour: a blush near the skin’s own colour is gone in the photographs.',
    find: (on) =>
      on.skin === null || !on.chart.occasion.camera
        ? []
        : coloured(on, 'blush').flatMap(({ step, lab }) =>
            deltaE2000(lab, on.skin!) < 6 ? [found([step], `${step.title} is near her own colour; a camera will not see it.`)] : [],
          ),
  },
  {
    id: 'liner-off-lip',
    name: 'Lip liner does not match',
    severity: 'note',
    why: 'The liner matches the lip or is mixed to; a ring shows when the middle wears off.',
    find: (on) => {
      const lips = coloured(on, 'lip');
      const liner = lips.find(({ step }) => on.products(step).some((p) => p.kind === 'lip liner'));
      const fill = lips.find(({ step }) => on.products(step).some((p) => p.kind === 'lip colour') && !on.products(step).some((p) => p.kind === 'lip liner'));
      const off = liner && fill ? deltaE2000(liner.lab, fill.lab) : 0;
      return liner && fill && off > 12
        ? [found([liner.step, fill.step], `${liner.step.title} is ${off.toFixed(0)} from ${fill.step.title.toLowerCase()}: a ring will show.`)]
        : [];
    },
  },
];
