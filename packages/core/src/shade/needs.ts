import { hueOf } from '../colour';
import { drynessInWords, dryPatches, sidesWhere, type Features } from '../face';
import { propertiesOf, type Product, type ProductKind } from '../kit';
import { messagesIn, msg, term } from '../messages';
import { dayOf, type Day } from './day';
import { isLined } from './ranges';
import type { ShadeContext } from './usable';

export const NEED_OF = ['skin', 'day', 'face'] as const;

/** Shimmer that settles weighs more than a colour that is rather another: in units of colour difference. */
const SHIMMER_IN_LINES = 14;
type Described = Parameters<typeof propertiesOf>[0];
type Asked = { readonly features: Features; readonly day: Day | null; readonly kind: ProductKind };

/**
 * Something this client or this day asks of a product: what missing it costs in units of colour difference,
 * and how that is said.
 */
type Need = {
  readonly of: (typeof NEED_OF)[number];
  readonly kinds: readonly ProductKind[];
  /** Why it is asked; null when it is not. */
  readonly why: (asked: Asked) => string | null;
  readonly met: (product: Product, asked: Asked) => boolean;
  readonly cost: number;
  readonly words: string;
};

const shiny = ({ finish }: Pick<Product, 'finish'>): boolean => finish === 'shimmer' || finish === 'dewy';
const textured = (features: Features): boolean =>
  sidesWhere(features, ({ texture }) => texture === 'textured').length > 0;
const has = (features: Features, line: Features['lines'][number]): boolean =>
  sidesWhere(features, ({ lines }) => lines.includes(line)).length > 0;
const thick = ({ coverage }: Product): boolean => coverage === 'full' || coverage === 'opaque';
const lasting = (day: Day | null): string | null =>
  day !== null && (day.long || day.wet) ? day.words : null;
const isChild = ({ age }: Features): boolean => age === 'child';
const wears = (product: Described, hours: number): boolean => propertiesOf(product).wearHours >= hours;

/** What holds fewer hours than these on a day that is longer is no base for it. */
const LEAST_HOURS = 6;
/** Whether a base holds as long as a day of so many hours asks at the least. */
export const holdsAtLeast = (product: Described, dayHours: number): boolean =>
  wears(product, Math.min(LEAST_HOURS, dayHours));

const NEEDS: readonly Need[] = messagesIn(
  ['words'],
  [
    // What the day asks.
    {
      of: 'day',
      kinds: ['mascara', 'liner'],
      why: ({ day, features }) => (day?.wet && !isChild(features) ? day.words : null),
      met: (p) => propertiesOf(p).waterproof,
      cost: 3,
      words: 'not noted as waterproof',
    },
    {
      of: 'day',
      kinds: ['base'],
      why: ({ day }) => (day && (day.long || day.heat || day.humidity) ? day.words : null),
      met: (p, { day }) => wears(p, Math.min(day?.hours ?? 8, 10)),
      cost: 0.9,
      words: 'holds fewer hours than the day has',
    },
    {
      of: 'day',
      kinds: ['base'],
      why: ({ day }) => (day && (day.long || day.heat || day.humidity) ? day.words : null),
      met: (p, { day }) => holdsAtLeast(p, day?.hours ?? LEAST_HOURS),
      cost: 0.9,
      words: 'gone long before the day ends',
    },
    {
      of: 'day',
      kinds: ['base', 'concealer'],
      why: ({ day }) => (day && (day.heat || day.humidity || day.tears) ? day.words : null),
      met: (p) => p.finish !== 'dewy',
      cost: 1.2,
      words: 'dewy slides in heat and tears',
    },
    {
      of: 'day',
      kinds: ['base'],
      why: ({ day }) => (day && !day.camera && day.hours <= 3 && !day.heat ? msg`a short hour` : null),
      met: (p) => !thick(p),
      cost: 0.8,
      words: 'more than a short hour needs',
    },
    {
      of: 'day',
      kinds: ['blush', 'bronzer'],
      why: ({ day }) => (day && (day.long || day.heat || day.dancing) ? day.words : null),
      met: (p) => wears(p, 8) || p.texture === 'cream',
      cost: 0.4,
      words: 'fades before the day ends',
    },
    {
      of: 'day',
      kinds: ['lip colour'],
      why: ({ day, features }) => (day && (day.meals || day.long) && !isChild(features) ? day.words : null),
      met: (p) => propertiesOf(p).transferProof || wears(p, 6),
      cost: 1.6,
      words: 'gone after a meal',
    },
    {
      of: 'day',
      kinds: ['spray'],
      why: ({ day, features }) => (isChild(features) ? null : lasting(day)),
      met: (p) => p.finish !== 'dewy' && wears(p, 8),
      cost: 2.5,
      words: 'a soft spray does not hold it',
    },
    {
      of: 'day',
      kinds: ['primer'],
      why: ({ day }) => (day && (day.heat || day.humidity) ? day.words : null),
      met: (p) => p.finish === 'matte',
      cost: 0.8,
      words: 'does not mattify for the heat',
    },
    {
      of: 'day',
      kinds: ['highlight', 'shadow'],
      why: ({ day }) => (day?.metal ? msg`${term(day.metal)} jewellery` : null),
      met: (p, { day }) =>
        p.lab === null || p.finish === 'matte' || (day?.metal === 'gold') === hueOf(p.lab) > 55,
      cost: 0.5,
      words: 'against the metal worn',
    },
    // What the skin asks.
    {
      of: 'skin',
      kinds: ['primer', 'spray'],
      why: ({ features, day, kind }) =>
        features.dry && !(kind === 'spray' && lasting(day) && !isChild(features)) ? msg`dry skin` : null,
      met: (p) => p.finish === 'dewy' || p.finish === 'natural',
      cost: 1.2,
      words: 'takes moisture from dry skin',
    },
    {
      of: 'skin',
      kinds: ['primer'],
      why: ({ features }) =>
        dryPatches(features).length > 0 && features.oily.length === 0 ? drynessInWords(features) : null,
      met: (p) => p.finish === 'dewy' || p.finish === 'natural',
      cost: 1.2,
      words: 'takes moisture from where skin is dry',
    },
    {
      of: 'skin',
      kinds: ['primer', 'spray'],
      why: ({ features, kind }) =>
        features.oily.length > 0 && !(features.dry && kind === 'spray')
          ? msg`oily ${features.oily.map((one) => term(one)).join(', ')}`
          : null,
      met: (p) => p.finish === 'matte',
      cost: 1.4,
      words: 'does not mattify where the skin is oily',
    },
    {
      of: 'skin',
      kinds: ['primer'],
      why: ({ features }) =>
        textured(features) && features.oily.length === 0 && drynessInWords(features) === null
          ? msg`textured skin`
          : null,
      met: (p) => p.finish === 'natural' || p.finish === 'satin' || p.finish === 'matte',
      cost: 0.6,
      words: 'does not smooth texture',
    },
    {
      of: 'skin',
      kinds: ['primer', 'spray'],
      why: ({ features, day }) =>
        !features.dry && features.oily.length === 0 && !lasting(day) ? msg`skin that needs neither` : null,
      met: (p) => p.finish === 'natural' || p.finish === 'satin',
      cost: 0.3,
      words: 'more than this skin needs',
    },
    {
      of: 'skin',
      kinds: ['base', 'concealer'],
      why: ({ features }) => (features.dry ? msg`dry skin` : null),
      met: (p) => p.finish !== 'matte',
      cost: 1.6,
      words: 'matte shows every dry patch',
    },
    {
      of: 'skin',
      kinds: ['base'],
      why: ({ features }) => (dryPatches(features).length > 0 ? drynessInWords(features) : null),
      met: (p) => p.finish !== 'matte',
      cost: 0.9,
      words: 'matte shows every dry patch',
    },
    {
      of: 'skin',
      kinds: ['concealer'],
      why: ({ features }) =>
        dryPatches(features).includes('under the eyes') ? msg`dry under the eyes` : null,
      met: (p) => p.finish !== 'matte',
      cost: 1.2,
      words: 'matte shows every dry patch',
    },
    {
      of: 'skin',
      kinds: ['base'],
      why: ({ features }) =>
        features.oily.length > 1 ? msg`oily ${features.oily.map((one) => term(one)).join(', ')}` : null,
      met: (p) => p.finish !== 'dewy',
      cost: 1.6,
      words: 'dewy on skin that shines by itself',
    },
    {
      of: 'skin',
      kinds: ['base', 'concealer'],
      why: ({ features }) => (isLined(features) ? msg`lined skin` : null),
      met: (p) => p.kind === 'concealer' || !thick(p),
      cost: 1.3,
      words: 'full cover gathers in lines',
    },
    {
      of: 'skin',
      kinds: ['base'],
      why: ({ features }) => (features.beard ? msg`a beard` : null),
      met: (p) => p.coverage === 'sheer' || p.coverage === 'light',
      cost: 1.2,
      words: 'sits on the hairs of a beard',
    },
    {
      of: 'skin',
      kinds: ['base'],
      why: ({ features }) => (isChild(features) ? msg`a child` : null),
      met: (p) => p.coverage === 'sheer' || p.coverage === 'light',
      cost: 4,
      words: 'more than a light touch',
    },
    {
      of: 'skin',
      kinds: ['mascara', 'liner', 'lip colour', 'spray'],
      why: ({ features }) => (isChild(features) ? msg`a child` : null),
      met: (p, { kind }) =>
        kind === 'spray'
          ? p.finish === 'dewy' || !wears(p, 8)
          : !propertiesOf(p).waterproof && !propertiesOf(p).transferProof,
      cost: 1.6,
      words: 'made to hold; what holds is rubbed off a child',
    },
    {
      of: 'skin',
      kinds: ['highlight', 'blush', 'bronzer', 'base'],
      why: ({ features }) =>
        isLined(features) || textured(features)
          ? textured(features)
            ? msg`textured skin`
            : msg`lined skin`
          : null,
      met: (p) => p.finish !== 'shimmer',
      cost: SHIMMER_IN_LINES,
      words: 'shimmer settles in lines',
    },
    {
      of: 'skin',
      kinds: ['highlight'],
      why: ({ features }) => (features.oily.includes('cheeks') ? msg`oily cheeks` : null),
      met: (p) => !shiny(p),
      cost: 1.2,
      words: 'shine on skin that shines',
    },
    // What eyes, lips and brows ask.
    {
      of: 'face',
      kinds: ['shadow'],
      why: ({ features }) =>
        has(features, 'crow’s feet') || features.age === 'mature' ? msg`lined lids` : null,
      met: (p) => p.finish === 'satin' || p.finish === 'matte',
      cost: SHIMMER_IN_LINES,
      words: 'shimmer settles on lined lids',
    },
    {
      of: 'face',
      kinds: ['shadow', 'mascara', 'liner'],
      why: ({ features }) => (features.lenses ? msg`contact lenses` : null),
      met: (p) => !(p.texture === 'loose'),
      cost: 5,
      words: 'sheds into contact lenses',
    },
    {
      of: 'face',
      kinds: ['shadow', 'liner', 'mascara'],
      why: ({ features }) => (features.oily.includes('lids') ? msg`oily lids` : null),
      met: (p) => propertiesOf(p).waterproof || p.texture === 'pressed' || p.texture === 'loose',
      cost: 1,
      words: 'prints on oily lids',
    },
    {
      of: 'face',
      kinds: ['lip colour'],
      why: ({ features }) =>
        has(features, 'lip') || sidesWhere(features, ({ lipEdge }) => lipEdge === 'blurred').length > 0
          ? msg`lip lines`
          : null,
      met: (p) => p.finish !== 'dewy' && p.family !== 'oil',
      cost: 2,
      words: 'bleeds into lip lines',
    },
    {
      of: 'face',
      kinds: ['brow'],
      why: ({ features }) =>
        sidesWhere(features, ({ brows }) => brows === 'sparse').length > 0 ? msg`sparse brows` : null,
      met: (p) => p.texture === 'pencil' || p.texture === 'gel',
      cost: 0.5,
      words: 'does not draw hairs',
    },
    {
      of: 'face',
      kinds: ['brow'],
      why: ({ features }) =>
        sidesWhere(features, ({ brows }) => brows === 'tattooed').length > 0 ? msg`tattooed brows` : null,
      met: (p) =>
        p.texture === 'pressed' || p.texture === 'loose' || p.texture === 'gel' || p.texture === 'pencil',
      cost: 0.5,
      words: 'does not sit on a tattoo',
    },
  ],
);

export type NeedMissed = {
  readonly of: Need['of'];
  readonly cost: number;
  /** What is missed, without why it is asked: the same on every client and day. */
  readonly what: string;
  readonly words: string;
};

type Active = { readonly need: Need; readonly why: string };
const activeKept = new WeakMap<
  ShadeContext,
  Map<ProductKind, { readonly asked: Asked; readonly needs: readonly Active[] }>
>();

/** What is asked of a kind in a context: the same for every product of it. */
function activeFor(
  kind: ProductKind,
  context: ShadeContext,
): { readonly asked: Asked; readonly needs: readonly Active[] } {
  let byKind = activeKept.get(context);
  if (!byKind) activeKept.set(context, (byKind = new Map()));
  let active = byKind.get(kind);
  if (!active) {
    const asked: Asked = {
      features: context.client.features,
      day: context.occasion ? dayOf(context.occasion) : null,
      kind,
    };
    const needs = NEEDS.flatMap((need): Active[] => {
      const why = need.kinds.includes(kind) ? need.why(asked) : null;
      return why === null ? [] : [{ need, why }];
    });
    byKind.set(kind, (active = { asked, needs }));
  }
  return active;
}

/** What this client and this day ask of a product that it does not have. */
export function needsMissed(product: Product, context: ShadeContext): NeedMissed[] {
  const { asked, needs } = activeFor(product.kind, context);
  return needs.flatMap(({ need, why }) =>
    need.met(product, asked)
      ? []
      : [{ of: need.of, cost: need.cost, what: need.words, words: `${need.words} (${why})` }],
  );
}
