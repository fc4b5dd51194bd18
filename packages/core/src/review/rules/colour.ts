import { deltaE2000, hueOf, reconstructSpectrum, type Lab } from '../../colour';
import { GUIDES_OF_SKIN, isAtEyesOrLips, sidesWhere, type Placement, type SkinPlace } from '../../face';
import {
  basesFace,
  bringsBaseTo,
  alikeInWords,
  comeOutAlike,
  nearEnough,
  noRingRound,
  offLip,
  pairsMeantApart,
  shownOfStep,
  type ApartPair,
  type Step,
} from '../../look';
import { messagesIn, msg } from '../../messages';
import {
  apartInWords,
  flashback,
  flashGradeOf,
  isLined,
  partsApart,
  type FaceZone,
  type Miss,
  type ShadeRole,
} from '../../shade';
import {
  changed,
  chromaAt,
  finishIs,
  found,
  groupOf,
  isShiny,
  nameOf,
  shareOn,
  stepsFrom,
  type Fix,
  type Found,
  type Reviewed,
  type Rule,
} from '../rule';

const coloured = (on: Reviewed, ...roles: readonly Step['role'][]) =>
  on.steps.flatMap((step) => {
    const lab = roles.includes(step.role) ? on.colour(step) : null;
    return lab ? [{ step, lab }] : [];
  });

type RangeRule = Omit<Rule, 'find'> & {
  readonly roles: readonly ShadeRole[];
  readonly names: readonly Miss['name'][];
  readonly parts?: readonly Miss['part'][];
};

/**
 * A rule about a colour that leaves the range of its role on this skin: one judgement for what is proposed
 * and what is found.
 */
const ranged = ({ roles, names, parts, ...rule }: RangeRule): Rule => ({
  ...rule,
  find: (on) =>
    on.steps.flatMap((step): Found[] => {
      const hit = on
        .misses(step)
        .find(
          ({ role, miss }) =>
            roles.includes(role) && names.includes(miss.name) && (!parts || parts.includes(miss.part)),
        );
      return hit ? [found([step], `${step.title} ${hit.miss.words}.`, on.another(step))] : [];
    }),
});

const PLACE_OF: Readonly<Record<FaceZone, SkinPlace>> = {
  cheek: 'cheeks',
  forehead: 'forehead',
  chin: 'chin',
  mouthSide: 'round the mouth',
};
const UNDER_EYES: Placement = { guide: 'zone.underEye', side: 'both' };
/** What is laid on a part of the face alone. */
const MEETS_A_PART: readonly Step['role'][] = ['correct', 'conceal', 'base'];
const isOnAllOf = (step: Step): boolean =>
  step.placements.some((p) => 'guide' in p && p.guide === 'zone.wholeFace');
/** What a base leaves of a difference (deltaE2000) is seen from here on, as two skins beside one another. */
const STILL_SEEN = 2.5;

export const COLOUR_RULES: readonly Rule[] = messagesIn(
  ['name', 'why'],
  [
    {
      id: 'shine-in-contour',
      name: 'Contour shines',
      severity: 'caution',
      why: 'Shine reflects and undoes the shadow: contour is matte.',
      find: (on) =>
        on.steps
          .filter((s) => s.role === 'contour' && on.products(s).some(isShiny))
          .map((s) =>
            found(
              [s],
              msg`${s.title} uses ${nameOf(on.products(s).find(isShiny)!)}, which shines.`,
              on.another(s, finishIs('matte', 'natural')),
            ),
          ),
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
              .filter(
                (s) =>
                  ['highlight', 'bronze', 'blush', 'base'].includes(s.role) &&
                  on.products(s).some((p) => p.finish === 'shimmer'),
              )
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} shimmers on textured skin.`,
                  on.another(s, finishIs('satin', 'natural', 'matte')),
                ),
              ),
    },
    {
      id: 'shimmer-on-mature',
      name: 'Shimmer on mature skin',
      severity: 'caution',
      why: 'Shimmer settles in lines; satin gives the light without them.',
      find: (on) =>
        on.chart.client.features.age === 'mature'
          ? on.steps
              .filter(
                (s) =>
                  ['highlight', 'eye', 'blush'].includes(s.role) &&
                  on.products(s).some((p) => p.finish === 'shimmer'),
              )
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} shimmers, and settles in lines.`,
                  on.another(s, finishIs('satin', 'natural', 'matte')),
                ),
              )
          : [],
    },
    {
      id: 'grey-cast',
      name: 'Concealer turns grey',
      severity: 'caution',
      why: 'A lighter concealer over a shadow comes out lighter and duller than the skin: grey in the photographs. A corrector under it, or the skin’s own shade, cures it.',
      find: (on) =>
        on.steps
          .filter((s) => s.role === 'conceal')
          .flatMap((s) => {
            const corrected = on.steps
              .slice(0, on.steps.indexOf(s))
              .some((c) => c.role === 'correct' && on.reaches(c, UNDER_EYES));
            const ash = on.misses(s).find(({ miss }) => miss.name === 'ash');
            if (ash) return [found([s], `${s.title} ${ash.miss.words}.`, on.another(s))];
            if (!s.placements.some((p) => 'guide' in p && p.guide === 'zone.underEye')) return [];
            const [under, face] = [on.zone('underEye'), on.zone('cheek')];
            const seen = under ? on.over(under, s) : null;
            if (!seen || !face || corrected) return [];
            const [dL, dC] = [seen[0] - face[0], chromaAt(seen) - chromaAt(face)];
            const isGrey = (use: Step['use']): boolean => {
              const shown = shownOfStep({ ...s, use }, under!);
              return shown !== null && shown[0] - face[0] > 1.5 && chromaAt(shown) - chromaAt(face) < -2;
            };
            return dL > 1.5 && dC < -2
              ? [
                  found(
                    [s],
                    msg`${s.title} is predicted ${dL.toFixed(1)} lighter and ${(-dC).toFixed(1)} duller than the skin round it: grey.`,
                    on.another(s, ({ use }) => !isGrey([...use])),
                  ),
                ]
              : [];
          }),
    },
    ranged({
      id: 'concealer-mask',
      name: 'Concealer brightens into a mask',
      severity: 'caution',
      why: 'One to two steps brighten; deep skin takes one and a half, lined skin less. Beyond it the eyes sit in a pale mask.',
      roles: ['brighten'],
      names: ['mask'],
    }),
    ranged({
      id: 'concealer-halo',
      name: 'Concealer is not the skin’s depth',
      severity: 'caution',
      why: 'What covers a mark is the skin’s own depth round it: lighter leaves a halo, deeper a stain.',
      roles: ['cover', 'brighten'],
      names: ['halo', 'deeper than the skin'],
    }),
    ranged({
      id: 'ashy-powder',
      name: 'Powder turns ashy',
      severity: 'caution',
      why: 'A pale powder on deep skin turns grey, on any skin it leaves a cast: a powder has the skin’s own depth, or a film too thin to show.',
      roles: ['powder', 'under-eye powder'],
      names: ['ash', 'cast'],
    }),
    ranged({
      id: 'powder-patch',
      name: 'Powder is too deep',
      severity: 'caution',
      why: 'A powder deeper than the skin catches where it is damp and in every pore: a patch.',
      roles: ['powder', 'under-eye powder'],
      names: ['patch'],
    }),
    {
      id: 'white-cast',
      name: 'White cast in a flash',
      severity: 'caution',
      why: 'Some fine, pale, scattering powders and mineral filters throw a flash back. A flash photo in a dark room is the test, and the studio’s own photos stand before the model.',
      find: (on) => {
        if (on.skin === null || !on.day.camera) return [];
        const surface = reconstructSpectrum(on.skin, 'D65', 'skin').spectrum;
        return on.steps.flatMap((s, i) => {
          // What a base is laid over is not what the flash meets, and a lid or a lip is too small to look
          // cast.
          if (
            groupOf(s) !== 'face' ||
            on.steps.slice(i + 1).some((b) => b.role === 'base' && shareOn(on, s, b) > 0.5)
          )
            return [];
          const grades = on
            .products(s)
            .map((p) => flashGradeOf(on.kit?.products.find((k) => k.id === p.id) ?? p));
          const grade = [...grades].sort((a, b) => b - a)[0] ?? 0;
          const { deltaL, cast } = flashback(surface, [{ grade, doseMgPerCm2: s.doseMgPerCm2 * s.passes }]);
          return cast
            ? [
                found(
                  [s],
                  msg`${s.title} may turn ${deltaL.toFixed(1)} lighter in a flash.`,
                  on.another(s, ({ use }) => use.every((u) => flashGradeOf(u.product) < grade)),
                ),
              ]
            : [];
        });
      },
    },
    ranged({
      id: 'contour-too-light',
      name: 'Contour lighter than the skin',
      severity: 'caution',
      why: 'A shadow is deeper than what it lies on. A lighter one pulls forward what should set back.',
      roles: ['contour'],
      names: ['lighter than the skin'],
    }),
    ranged({
      id: 'contour-does-nothing',
      name: 'Contour does nothing',
      severity: 'note',
      why: 'Under about a step deeper nothing is set back: a deeper shade, or more of it.',
      roles: ['contour'],
      names: ['does nothing'],
    }),
    ranged({
      id: 'contrast-on-mature',
      name: 'Contour is a stripe',
      severity: 'caution',
      why: 'Two steps are the soft school, three the bold one, less on lined skin; over four is a stripe on anybody.',
      roles: ['contour'],
      names: ['stripe'],
    }),
    ranged({
      id: 'orange-on-fair',
      name: 'Warm contour on very fair skin',
      severity: 'caution',
      why: 'Very fair skin goes orange easily: it takes cool pinks and taupes.',
      roles: ['contour', 'bronzer'],
      names: ['orange'],
    }),
    ranged({
      id: 'cool-contour-on-deep',
      name: 'Contour turns grey',
      severity: 'caution',
      why: 'A shadow has colour: what shows is held against skin of that depth. Red-brown is right on deep skin, greyed taupe on very fair; grey is not.',
      roles: ['contour'],
      names: ['ash'],
    }),
    ranged({
      id: 'bronzer-off',
      name: 'Bronzer too light or too deep',
      severity: 'note',
      why: 'A bronzer is one to two steps deeper: less is not seen, more is mud.',
      roles: ['bronzer'],
      names: ['lighter than the skin', 'does nothing', 'heavy'],
    }),
    ranged({
      id: 'bronzer-undertone',
      name: 'Bronzer against the undertone',
      severity: 'note',
      why: 'Bronzer follows undertone: rose-peach on pink, golden on olive and deep, red-brown on red-undertoned very deep skin.',
      roles: ['bronzer'],
      names: ['orange', 'ash'],
    }),
    {
      id: 'base-off-neck',
      name: 'The base leaves the neck behind',
      severity: 'caution',
      why: 'The base must agree with neck and decollete, not only with the cheek; else it is carried down over them.',
      find: (on) => {
        const neck = on.chart.client.skin.neck;
        if (!neck) return [];
        // What cares for the neck, or warms it, does not bring it to the face's colour.
        const carried = on.steps.some(
          (s) => s.role === 'base' && s.placements.some((p) => 'guide' in p && p.guide === 'zone.neck'),
        );
        return coloured(on, 'base').flatMap(({ step, lab }) => {
          if (!basesFace(step)) return [];
          const off = deltaE2000(lab, neck);
          return off > 5 && !carried
            ? [
                found([step], msg`${step.title} is ${off.toFixed(1)} from the neck, and stops at the jaw.`, {
                  label: msg`Carry it down the neck`,
                  apply: changed(step.id, (s) => ({
                    ...s,
                    placements: [...s.placements, { guide: 'zone.neck', side: 'both' }],
                  })),
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
      why: 'Over about 2 a difference is seen at the jaw, the ear and the hand. A powder over the whole face that brings it there counts.',
      find: (on) =>
        on.steps.flatMap((step) => {
          const hit = on.misses(step).find(({ role }) => role === 'base');
          if (!hit || isAtEyesOrLips(step) || onesEdge(on, step) || madeExact(on, step)) return [];
          return [
            found([step], msg`${step.title} ${hit.miss.words}. Mix it, or choose another.`, on.another(step)),
          ];
        }),
    },
    {
      id: 'face-apart',
      name: 'One base on a face of more than one colour',
      severity: 'caution',
      why: 'One shade over parts far apart in colour is wrong on some of them. What differs is corrected thinly first, gets a second shade, or stays as it is: the client says which.',
      find: (on) => {
        const from = on.skin;
        const bases = on.steps.filter((s) => s.role === 'base' && isOnAllOf(s));
        const [first] = bases;
        if (!from || !first) return [];
        const shown = (ground: Lab): Lab => bases.reduce((under, s) => on.over(under, s) ?? under, ground);
        const seen = partsApart(on.chart.client.skin, from).filter(({ zone, lab }) => {
          const met = on.steps.some(
            (s) =>
              MEETS_A_PART.includes(s.role) &&
              !isOnAllOf(s) &&
              GUIDES_OF_SKIN[PLACE_OF[zone]].some((guide) => on.reaches(s, { guide, side: 'both' })),
          );
          return !met && deltaE2000(shown(lab), shown(from)) > STILL_SEEN;
        });
        return seen.length === 0
          ? []
          : [
              found(
                bases,
                msg`${first.title} is one shade: from what it is matched to ${apartInWords(seen, from)}.`,
              ),
            ];
      },
    },
    ranged({
      id: 'base-joint',
      name: 'The joint of two bases shows',
      severity: 'caution',
      why: 'A deeper edge is one to two and a half steps deeper, a lighter centre half to one and a half lighter; further apart the joint is a stripe.',
      roles: ['deeper edge', 'lighter centre'],
      names: ['mask', 'stripe'],
    }),
    ranged({
      id: 'chalky-blush',
      name: 'Blush turns to chalk',
      severity: 'caution',
      why: 'Deep skin takes deep red, plum, bright pink or orange; a pale blush turns to chalk on it.',
      roles: ['blush'],
      names: ['chalk'],
    }),
    ranged({
      id: 'heavy-blush',
      name: 'Blush is heavy',
      severity: 'caution',
      why: 'A flush more than three steps deeper than the skin is a painted cheek.',
      roles: ['blush'],
      names: ['heavy'],
    }),
    ranged({
      id: 'blush-hardly-shows',
      name: 'Blush hardly shows',
      severity: 'note',
      why: 'Camera and distance eat colour: a blush near the skin’s own colour is gone in the photographs.',
      roles: ['blush'],
      names: ['hardly shows'],
    }),
    ranged({
      id: 'light-deeper',
      name: 'Light deeper than the skin',
      severity: 'caution',
      why: 'Light raises by being lighter; deeper than the skin it looks like dirt.',
      roles: ['light'],
      names: ['deeper than the skin'],
    }),
    ranged({
      id: 'light-does-nothing',
      name: 'Light does not show',
      severity: 'note',
      why: 'A light within half a step of the skin is not seen, even when the head turns.',
      roles: ['light'],
      names: ['does nothing'],
    }),
    ranged({
      id: 'icy-light',
      name: 'Light turns icy',
      severity: 'caution',
      why: 'Fair skin takes pearl and champagne, medium and olive gold, deep gold, copper and rose gold; an icy light on deep skin is ash.',
      roles: ['light'],
      names: ['ash', 'mask'],
    }),
    ranged({
      id: 'brow-off-hair',
      name: 'Borrowed brows',
      severity: 'caution',
      why: 'A brow is within a step and a half of its hair, ash or warm as the hair is.',
      roles: ['brow'],
      names: ['borrowed brows', 'lighter than the skin'],
    }),
    ranged({
      id: 'lid-off',
      name: 'Shadow out of range on this lid',
      severity: 'note',
      why: 'A socket is deeper than the lid by one to six steps, a lid light at most four lighter: else it is no shadow, a patch, or chalk.',
      roles: ['lid', 'socket'],
      names: ['chalk', 'patch', 'does nothing'],
    }),
    {
      id: 'eye-colours-alike',
      name: 'Colours of an eye come out alike',
      severity: 'note',
      why: 'An eye is shaped by one colour deeper than the other; where they come out alike it is one patch.',
      find: (on) => alike(on, 'eye'),
    },
    {
      id: 'lips-alike',
      name: 'A deeper lip is none',
      severity: 'note',
      why: 'A second lip is there to be another: as deep as the first, or lighter, it changes nothing, or the wrong way.',
      find: (on) => alike(on, 'lip'),
    },
    ranged({
      id: 'chalky-lip',
      name: 'The lip is chalk',
      severity: 'caution',
      why: 'A nude is near the client’s own lip and has its colour; on deep skin it is not lighter than the skin.',
      roles: ['lip'],
      names: ['chalk'],
    }),
    {
      id: 'metals-on-olive',
      name: 'A cool metal on olive skin',
      severity: 'note',
      why: 'Olive and medium skin carries gold, bronze and copper; silver and icy pink look borrowed on it.',
      find: (on) =>
        on.wearer?.undertone !== 'olive'
          ? []
          : coloured(on, 'eye')
              .filter(
                ({ step, lab }) =>
                  on.products(step).some((p) => p.finish === 'shimmer') &&
                  (chromaAt(lab) < 8 || (hueOf(lab) > 150 && hueOf(lab) < 350)),
              )
              .map(({ step }) =>
                found(
                  [step],
                  msg`${step.title} is a cool metal on olive skin.`,
                  on.another(step, ({ lab }) => lab !== null && chromaAt(lab) >= 12),
                ),
              ),
    },
    {
      id: 'liner-off-lip',
      name: 'Lip liner does not match',
      severity: 'note',
      why: 'The liner is the lip’s hue, as deep or up to two steps deeper, or is mixed to it; a ring shows when the middle wears off.',
      find: (on) => {
        const lips = coloured(on, 'lip', 'lip line');
        const liner = lips.find(({ step }) => on.products(step).some((p) => p.kind === 'lip liner'));
        const fill = lips.find(
          ({ step }) =>
            on.products(step).some((p) => p.kind === 'lip colour') &&
            !on.products(step).some((p) => p.kind === 'lip liner'),
        );
        if (!liner || !fill) return [];
        const words = offLip(liner.lab, fill.lab, 'judge');
        if (words === null) return [];
        return [
          found(
            [liner.step, fill.step],
            msg`${liner.step.title} is ${words} ${fill.step.title.toLowerCase()}: a ring will show.`,
            on.another(liner.step, noRingRound(fill.lab)),
          ),
        ];
      },
    },
    {
      id: 'contrast-of-light-on-lined',
      name: 'Light too strong on lined skin',
      severity: 'note',
      why: 'Mature and lined skin wants less contrast each way.',
      find: (on) =>
        on.skin === null || !isLined(on.chart.client.features)
          ? []
          : coloured(on, 'highlight').flatMap(({ step, lab }) => {
              const lighter = -stepsFrom(lab, on.skin!);
              return lighter > 4.8
                ? [
                    found(
                      [step],
                      msg`${step.title} is ${lighter.toFixed(1)} steps lighter than lined skin.`,
                      on.another(step),
                    ),
                  ]
                : [];
            }),
    },
  ],
);

/**
 * Colours of an eye, or of the lips, that are meant apart and come out alike: of all variants, since one is
 * there to be another than the plan.
 */
function alike(on: Reviewed, role: 'eye' | 'lip'): Found[] {
  const pairs = pairsMeantApart(on.chart.steps).filter(({ deeper }) => deeper.role === role);
  return pairs.flatMap(({ lighter, deeper }) => {
    const [light, deep] = [on.colour(lighter), on.colour(deeper)];
    if (!light || !deep || !comeOutAlike({ lighter, deeper })) return [];
    return [
      found(
        [deeper, lighter],
        `${alikeInWords({ lighter, deeper })}.`,
        anotherApart(on, deeper, pairs) ?? anotherApart(on, lighter, pairs),
      ),
    ];
  });
}

/** Another product for such a colour, apart from all that it is meant to be apart from. */
function anotherApart(on: Reviewed, step: Step, pairs: readonly ApartPair<Step>[]): Fix | undefined {
  const own = pairs.filter((pair) => pair.lighter === step || pair.deeper === step);
  return on.another(step, (other, best) => {
    if (!nearEnough(best, other)) return false;
    const put = { ...step, use: [...other.use] };
    const as = (one: Step): Step => (one === step ? put : one);
    return own.every(({ lighter, deeper }) => !comeOutAlike({ lighter: as(lighter), deeper: as(deeper) }));
  });
}

/** Whether a base is one of two by design: an edge or a centre beside another. */
function onesEdge(on: Reviewed, step: Step): boolean {
  return on.steps.some(
    (s) =>
      s !== step &&
      s.role === 'base' &&
      on.misses(s).every(({ role }) => role !== 'base') &&
      on.cover(s).count > on.cover(step).count &&
      !isOnAllOf(step),
  );
}

/** Whether a powder over the whole face brings an inexact base to the skin. */
function madeExact(on: Reviewed, step: Step): boolean {
  const base = on.colour(step);
  if (!base || !on.skin) return false;
  return on.steps.some((s) => {
    return s.role === 'powder' && isOnAllOf(s) && bringsBaseTo(on.skin!, base, s);
  });
}
