import {
  chromaOf,
  deltaE2000,
  depthOf,
  differenceInWords,
  hueOf,
  neutralSkinAt,
  type Coverage,
  type Lab,
  type Spectrum,
} from '../colour';
import { COVERAGE_WORDS, propertiesOf, type Product } from '../kit';
import { msg, term } from '../messages';
import type { AnswerPart, CostPart, ShadeAnswer } from './answers';
import type { Day } from './day';
import { flashback, flashGradeOf } from './flashback';
import { needsMissed } from './needs';
import { measuresInWords, MOST_TAKEN, ratioOfMeasures, type Need } from './portions';
import type { Wearer } from './ranges';
import type { ShadeAsk, ShadeRole } from './skinRole';
import type { ShadeContext } from './usable';

/** What missing a wish costs, in units of colour difference. */
export const COST = {
  texture: 0.8,
  powderEarly: 1.4,
  finish: 1.2,
  /** For each class off. */ coverage: 0.7,
  family: 0.8,
  unopened: 0.15,
  notOwned: 2.5,
  short: 1.2,
  mix: 0.3,
  adjuster: 0.25,
  waste: 0.4,
  tooMuch: 1.5,
  depth: 1.6,
  flash: 3,
  unread: 4,
  /** A concealer that was to brighten and matches. */ asSkin: 2,
} as const;

/**
 * Of the steps asked a film is to show this much: it is aimed a little short, since what is too deep cannot
 * be taken back.
 */
const SHOWN_SHARE = 0.95;
/** Roles judged by how deep they show; the others by how near they come. */
export const BY_DEPTH: readonly (ShadeRole | null)[] = ['contour', 'bronzer'];

/** Lids and lips are too small to look cast in a flash. */
export const TOO_SMALL_TO_CAST: readonly ShadeAsk['role'][] = [
  'brow',
  'eye',
  'liner',
  'lash',
  'lip',
  'lip line',
];

/** Of each part the member that costs most: a mix is as shiny as its shiniest. */
export function worstOf(lists: readonly (readonly CostPart[])[]): CostPart[] {
  const worst = new Map<string, CostPart>();
  for (const cost of lists.flat()) {
    const key = `${cost.part} ${cost.words}`;
    if (!worst.has(key) || worst.get(key)!.units < cost.units) worst.set(key, cost);
  }
  return [...worst.values()];
}

/**
 * How far the colour is off: for a shadow by the depth that shows and apart from it by hue and strength; for
 * the rest by CIEDE2000 of the pan.
 */
export function colourCosts(
  role: ShadeRole | null,
  target: Lab | null,
  lab: Lab | null,
  steps: ShadeAnswer['steps'],
  deltaE: number | null,
  wearer: Wearer | null,
): CostPart[] {
  if (!target || !lab || deltaE === null) return [];
  if (steps && wearer && BY_DEPTH.includes(role)) {
    const wanted = depthOf(target) - depthOf(wearer.skin);
    // Hue and strength apart from depth: against the target's at this lightness.
    const turn = deltaE2000(lab, atLightness(target, lab[0]));
    const by = steps.shown - SHOWN_SHARE * wanted;
    return [
      {
        part: 'depth',
        units: COST.depth * Math.abs(by),
        words: msg`shows ${Math.abs(steps.shown).toFixed(1)} steps ${steps.shown >= 0 ? msg`deeper` : msg`lighter`}, ${wanted.toFixed(1)} asked`,
      },
      { part: 'colour', units: 0.6 * turn, words: msg`${turn.toFixed(1)} off in hue and strength` },
    ];
  }
  return [
    { part: 'colour', units: deltaE, words: msg`${deltaE.toFixed(1)} off, ${differenceInWords(deltaE)}` },
  ];
}

/** A colour's hue and relative strength at another lightness, as skin would carry it. */
function atLightness(lab: Lab, L: number): Lab {
  const hue = ((hueOf(lab) + neutralSkinAt(L).hue - neutralSkinAt(lab[0]).hue) * Math.PI) / 180;
  const chroma = (chromaOf(lab) / neutralSkinAt(lab[0]).chroma) * neutralSkinAt(L).chroma;
  return [L, chroma * Math.cos(hue), chroma * Math.sin(hue)];
}

/** How many classes a product covers more or less than is asked. */
function coverageCosts({ coverage }: Product, { wants: { coverages = [] } }: ShadeAsk): CostPart[] {
  if (coverages.length === 0 || coverages.includes(coverage)) return [];
  const classOf = (one: Coverage): number => COVERAGE_WORDS.indexOf(one);
  const off = Math.min(...coverages.map((one) => Math.abs(classOf(one) - classOf(coverage))));
  return [
    {
      part: 'coverage',
      units: COST.coverage * off,
      words: msg`covers ${term(coverage)}, not ${coverages.map((one) => term(one)).join(msg` or `)}`,
    },
  ];
}

/** What a product is made of, where something is asked of that. */
const familyCosts = ({ family }: Product, { wants: { families = [] } }: ShadeAsk): CostPart[] =>
  families.length === 0 || families.includes(family)
    ? []
    : [
        {
          part: 'family',
          units: COST.family,
          words: msg`made of ${term(family)}, not ${families.map((one) => term(one)).join(msg` or `)}`,
        },
      ];

/** What a product itself misses: texture, finish, and what her skin, face and day ask. */
export function productCosts(product: Product, ask: ShadeAsk, context: ShadeContext): CostPart[] {
  const { textures, finishes } = ask.wants;
  return [
    ...(!textures || textures.includes(product.texture)
      ? []
      : [
          {
            part: 'texture' as const,
            units: COST.texture,
            words: msg`${term(product.texture)}, not ${textures.map((one) => term(one)).join(msg` or `)}`,
          },
        ]),
    ...(!finishes || finishes.includes(product.finish)
      ? []
      : [
          {
            part: 'finish' as const,
            units: COST.finish,
            words: msg`${term(product.finish)}, not ${finishes.map((one) => term(one)).join(msg` or `)}`,
          },
        ]),
    ...(ask.phase === 'sculpt' && !textures && (product.texture === 'pressed' || product.texture === 'loose')
      ? [
          {
            part: 'texture' as const,
            units: COST.powderEarly,
            words: msg`a powder: it goes on when the face is set`,
          },
        ]
      : []),
    // An adjuster is a drop in what covers.
    ...(product.kind === 'adjuster' ? [] : [...coverageCosts(product, ask), ...familyCosts(product, ask)]),
    ...(product.kind === 'adjuster'
      ? []
      : needsMissed(product, context).map(({ of, cost, words }) => ({ part: of, units: cost, words }))),
  ];
}

/** What a camera's flash would throw back, by the studio's own photos or the model. */
export function flashCosts(
  members: readonly { readonly product: Product }[],
  ground: Spectrum | null,
  dose: number,
  day: Day | null,
): CostPart[] {
  const grade = members.map(({ product }) => flashGradeOf(product)).reduce((a, b) => (b > a ? b : a));
  if (!ground || !day?.camera || grade === 0 || dose === 0) return [];
  const { deltaL, cast } = flashback(ground, [{ grade, doseMgPerCm2: dose }]);
  return cast
    ? [{ part: 'day', units: COST.flash, words: msg`may turn ${deltaL.toFixed(1)} lighter in a flash` }]
    : [];
}

/** What stirring costs: each further bottle, and an adjuster whose strength is guessed. */
export function mixCosts(
  members: readonly { readonly product: Product; readonly measures: number }[],
): CostPart[] {
  if (members.length === 1) return [];
  const guessed = members.some(({ product }) => product.kind === 'adjuster' && product.tintingStrength === 1);
  return [
    {
      part: 'mix',
      units: COST.mix * (members.length - 1),
      words: msg`mix ${ratioOfMeasures(members.map((m) => m.measures))}`,
    },
    ...(guessed
      ? [
          {
            part: 'mix' as const,
            units: COST.adjuster,
            words: msg`an adjuster whose strength nobody has tried`,
          },
        ]
      : []),
  ];
}

/** What is taken beyond the need, and why it cannot be less. */
export function amountCosts(
  members: readonly { readonly product: Product; readonly measures: number }[],
  madeMg: number,
  { takenMg }: Need,
): CostPart[] {
  if (takenMg <= 0) return [];
  const times = madeMg / takenMg;
  if (times <= 1.1) return [];
  const [only] = members;
  const least = members.length === 1 && only!.measures === propertiesOf(only!.product).smallestShare;
  const made = members.map((m) => measuresInWords(m.measures, m.product.measure)).join(msg` and `);
  const why =
    times <= MOST_TAKEN
      ? ''
      : least
        ? msg`; it is the least it can be taken in`
        : members.length === 1
          ? msg`; one fewer does not cover it`
          : msg`; smaller measures do not give this mix`;
  return [
    {
      part: 'waste',
      units:
        COST.waste * (Math.min(times, 4) - 1.1) +
        (times > MOST_TAKEN && members.length > 1 ? COST.tooMuch : 0),
      words: msg`${made} ${members.length === 1 && only!.measures <= 1 ? msg`holds` : msg`hold`} ${Math.round(madeMg)} mg, ${Math.round(takenMg)} needed${why}`,
    },
  ];
}

/** What the cases lack: a product not owned, too little left, one that would have to be opened. */
export function stockCosts(parts: readonly AnswerPart[]): CostPart[] {
  const notOwned = parts.filter(({ unit }) => unit === null);
  if (notOwned.length > 0) return [{ part: 'stock', units: COST.notOwned, words: msg`not in the kit` }];
  const short = parts.some(
    ({ unit, product, measures }) => unit !== null && unit.remainingMg < measures * product.mgPerMeasure,
  );
  return [
    ...(short ? [{ part: 'stock' as const, units: COST.short, words: msg`not enough left` }] : []),
    ...(parts.some(({ unit }) => unit?.openedOn === null)
      ? [{ part: 'stock' as const, units: COST.unopened, words: msg`would be opened` }]
      : []),
  ];
}
