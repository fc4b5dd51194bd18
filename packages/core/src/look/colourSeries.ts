import { chromaOf, hueOf, labOfHue, undertoneOf, type Lab, type Undertone } from '../colour';
import { clamp } from '../math';
import { bareLip, isDeep, skinTarget, wantedColour, type StepGap } from '../shade';
import type { Kit } from '../kit';
import { msg, term } from '../messages';
import type { Chart, Occasion, Step, Use } from './document';
import { colourOfUse, matchAndPropose } from './propose';
import { contextOf } from './studioContext';
import { variedStep, withVariant } from './variants';

export const SERIES_SCHEMES = ['near', 'opposite', 'neutral'] as const;
export type SeriesScheme = (typeof SERIES_SCHEMES)[number];
export const SERIES_PARTS = ['eye', 'cheek', 'lip'] as const;
export type SeriesPart = (typeof SERIES_PARTS)[number];

/** One step in a colour of the series, bound to the kit. */
export type SeriesStep = {
  readonly part: SeriesPart;
  readonly stepId: string;
  readonly title: string;
  /** The colour of the series, as the step is to carry it. */
  readonly target: Lab;
  /** Where that lies on this client, which is what the kit is held against. */
  readonly sought: Lab;
  /** What the kit has for it; empty where it has nothing, or nothing that is still this colour. */
  readonly use: readonly Use[];
  /** What the kit has nearest, also where it is too far off to be used. */
  readonly nearest: readonly Use[];
  readonly lab: Lab | null;
  /** CIEDE2000 from what was sought to the nearest; null where there is none. */
  readonly off: number | null;
  readonly gap: StepGap | null;
};
export type ColourSeries = {
  readonly scheme: SeriesScheme;
  readonly name: string;
  readonly why: string;
  readonly steps: readonly SeriesStep[];
};

/** Further off than this nobody would call it the colour that was sought, CIEDE2000. */
export const FAR_OFF = 12;
/** Below this chroma what is worn has no hue to follow: ivory, grey, black. */
const HUELESS = 9;
/** Hues a cheek and a lip can take, degrees from plum over red to peach. */
const HUES: Readonly<Record<Exclude<SeriesPart, 'eye'>, readonly [number, number]>> = {
  cheek: [-20, 60],
  lip: [-25, 55],
};
/** Where a flush or a lip of each undertone lies by itself, degrees. */
const OWN_HUE: Readonly<Record<Undertone, number>> = { cool: 8, neutral: 26, warm: 44, olive: 36, red: 20 };
/** How much of its own hue a face keeps against what is worn. */
const OWN_SHARE = 0.4;
const METAL_HUE = { gold: 75, silver: 265 } as const;

/** The hue that leads: of the strongest colour worn, else of the jewellery; null where neither has one. */
function leadOf({ outfit = [], metal }: Occasion): { hue: number; chroma: number; of: string } | null {
  const [strongest] = [...outfit].sort((a, b) => chromaOf(b.lab) - chromaOf(a.lab));
  if (strongest && chromaOf(strongest.lab) >= HUELESS)
    return { hue: hueOf(strongest.lab), chroma: chromaOf(strongest.lab), of: strongest.name };
  return metal ? { hue: METAL_HUE[metal], chroma: 20, of: msg`${term(metal)} jewellery` } : null;
}

/** A hue brought into a range that holds 0, by the shorter way round. */
function pulled(hue: number, [from, to]: readonly [number, number]): number {
  const signed = ((((hue + 180) % 360) + 360) % 360) - 180;
  if (signed >= from && signed <= to) return signed;
  const away = (end: number): number => Math.abs(((((signed - end + 180) % 360) + 360) % 360) - 180);
  return away(from) < away(to) ? from : to;
}

/** The steps of the plan a series colours: the lid before the socket, the blush, the lip. */
function partsOf(chart: Chart): readonly (readonly [SeriesPart, Step])[] {
  const plan = chart.steps.filter((s) => s.variant === undefined && s.wants.kinds.length > 0);
  const eyes = plan.filter((s) => s.role === 'eye' && s.wants.kinds.includes('shadow'));
  const onLid = (s: Step): boolean =>
    s.placements.some(
      (p) => 'guide' in p && ['lid', 'openLid', 'zone.mobileLid', 'innerLid'].includes(p.guide),
    );
  const found: Readonly<Record<SeriesPart, Step | undefined>> = {
    eye: eyes.find(onLid) ?? eyes[0],
    cheek: plan.find((s) => s.role === 'blush'),
    lip: plan.find((s) => s.role === 'lip' && s.wants.kinds.includes('lip colour')),
  };
  return SERIES_PARTS.flatMap((part) => (found[part] ? [[part, found[part]] as const] : []));
}

/**
 * Three coordinated ways to colour eye, cheek and lip for what is worn: near its hue, opposite to it, and
 * neutral in the skin's own. Only hue and strength move, in CIELAB: how deep each step is stays as the look
 * has it. A cheek and a lip keep within hues a face can flush in and part of their own. Each is bound to the
 * kit, with how far off it is. Empty where nothing worn has a colour, no skin was read, or the chart has none
 * of the three steps.
 */
export function colourSeries(chart: Chart, kit: Kit): ColourSeries[] {
  const lead = leadOf(chart.occasion);
  const skin = skinTarget(chart.client.skin);
  const parts = partsOf(chart);
  if (!lead || !skin || parts.length === 0) return [];
  const { undertone } = undertoneOf(chart.client.skin.neck ?? skin);
  const context = contextOf(chart, kit);
  const leads: Readonly<Record<SeriesScheme, { hue: number; name: string; why: string }>> = {
    near: { hue: lead.hue, name: msg`Near the ${lead.of}`, why: msg`in the hue of the ${lead.of}` },
    opposite: {
      hue: lead.hue + 180,
      name: msg`Against the ${lead.of}`,
      why: msg`opposite to the ${lead.of}, so that either sets the other off`,
    },
    neutral: {
      hue: hueOf(skin),
      name: msg`In the skin’s own hue`,
      why: msg`quiet: what is worn leads alone`,
    },
  };
  return SERIES_SCHEMES.map((scheme) => ({
    scheme,
    name: leads[scheme].name,
    why: leads[scheme].why,
    steps: parts.map(([part, step]): SeriesStep => {
      const target = targetOf(part, step, scheme, leads[scheme].hue, lead.chroma, skin, undertone);
      const asked = { ...step, shade: { lab: [...target] as [number, number, number] } };
      const { match, proposals } = matchAndPropose(asked, context);
      const [best] = match.gap ? [] : proposals;
      return {
        part,
        stepId: step.id,
        title: step.title,
        target,
        sought: wantedColour(asked, context.client, context.contrast) ?? target,
        use: best && (best.deltaE ?? 0) <= FAR_OFF ? best.use : [],
        nearest: best?.use ?? [],
        lab: best?.lab ?? null,
        off: best?.deltaE ?? null,
        gap: match.gap,
      };
    }),
  }));
}

function targetOf(
  part: SeriesPart,
  step: Step,
  scheme: SeriesScheme,
  hue: number,
  worn: number,
  skin: Lab,
  undertone: Undertone,
): Lab {
  const planned = colourOfUse(step.use) ?? skin;
  if (part === 'eye') {
    const chroma =
      scheme === 'neutral'
        ? clamp(0.8 * chromaOf(skin), 8, 18)
        : clamp(0.7 * worn, 10, isDeep(skin) ? 36 : 30);
    return labOfHue(planned[0], chroma, hue);
  }
  const own = OWN_HUE[undertone];
  const kept = OWN_SHARE * own + (1 - OWN_SHARE) * pulled(scheme === 'neutral' ? own : hue, HUES[part]);
  const quiet = part === 'lip' ? chromaOf(bareLip(skin)) + 4 : 0.85 * chromaOf(planned);
  return labOfHue(
    planned[0],
    scheme === 'neutral' ? Math.min(chromaOf(planned), quiet) : chromaOf(planned),
    kept,
  );
}

/**
 * The chart with a series kept as a variant: its steps done otherwise, what the kit has nothing for left as
 * planned. `newId` gives an id each time it is asked. Unchanged when a variant is called so already.
 */
export function withColourSeries(chart: Chart, series: ColourSeries, newId: () => string): Chart {
  const id = newId();
  const added = withVariant(chart, id, series.name.slice(0, 200));
  if (added === chart) return chart;
  return series.steps.reduce((so, { stepId, target, use }) => {
    if (use.length === 0) return so;
    const own = newId();
    const varied = variedStep(so, stepId, id, own);
    const steps = varied.steps.map((s) =>
      s.id === own ? { ...s, shade: { lab: [...target] as [number, number, number] }, use: [...use] } : s,
    );
    return { ...varied, steps };
  }, added);
}
