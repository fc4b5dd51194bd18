import {
  colourOfUse,
  fitLook,
  inferLandmarks,
  PLAIN_FEATURES,
  readKitCsv,
  shiftDepth,
  skinByZone,
  snapshotOf,
  skinTarget,
  type Chart,
  type ClientSnapshot,
  type Features,
  type Kit,
  type Lab,
  type Look,
  type Measurements,
  type Occasion,
  type Placement,
  type Product,
  type Step,
  type Undertone,
} from '@toile/core';
import { CLIENTS } from '../clients';
import { idFor } from '../ids';
import { lookNamed } from '../looks';
import { PRODUCTS, skinAt, unitsOn } from '../products';

/** The day every case of the corpus is judged for. */
export const DAY = '2031-05-14';

/** Skins from very light to very deep, of every undertone. */
export const SKINS = {
  milk: [3.4, 'cool'],
  shell: [4.2, 'neutral'],
  sand: [5.8, 'warm'],
  rose: [6.6, 'cool'],
  oat: [8, 'neutral'],
  olive: [9.6, 'olive'],
  honey: [11, 'warm'],
  moss: [12.4, 'olive'],
  amber: [13.8, 'warm'],
  cedar: [15.4, 'neutral'],
  russet: [17, 'cool'],
  walnut: [18.6, 'warm'],
  ebony: [20, 'neutral'],
  jet: [21.4, 'cool'],
} as const satisfies Record<string, readonly [number, Undertone]>;
export type SkinName = keyof typeof SKINS;
export const SKIN_NAMES = Object.keys(SKINS) as readonly SkinName[];

/** A face is a little redder than the neck its undertone is read on. */
export function skinNamed(name: SkinName): Lab {
  const [depth, undertone] = SKINS[name];
  const [L, a, b] = skinAt(depth, undertone);
  return [L, a + 2, b - 0.8];
}

export type Wearing = {
  readonly skin: SkinName;
  readonly features?: Partial<Features>;
  readonly measurements?: Measurements;
  readonly sensitivities?: readonly string[];
};

export function clientOf({
  skin,
  features = {},
  measurements = {},
  sensitivities = [],
}: Wearing): ClientSnapshot {
  return {
    id: idFor(`corpus ${skin}`),
    name: `Someone of ${skin} skin`,
    landmarks: inferLandmarks(measurements),
    features: { ...PLAIN_FEATURES, ...features },
    skin: skinByZone(skinNamed(skin)),
    readingId: null,
    sensitivities: [...sensitivities],
  };
}

const owned = (products: readonly Product[]): Kit => ({
  products,
  units: products.map((p) => ({
    id: idFor(`corpus unit ${p.id}`),
    productId: p.id,
    openedOn: '2031-03-01',
    remainingMg: p.mgPerMeasure * 60,
    place: 'case 1',
  })),
});

const every =
  (n: number) =>
  (_: Product, i: number): boolean =>
    i % n === 0;
const messy = `brand;range;shade name;type;L;a;b;coverage;finish;texture;family;contains;dose unit;mg per pump;eyes
 Ordway ;Second Cloth;odd 1;base;63,2;13,1;18,9;medium;satin;liquid;water;water|glycerin;pump;190;no
Ordway;Second Cloth;odd 2;base;-4;0;0;medium;satin;liquid;water;water;pump;190;no
Saltern;Eave;stray;contour;52;11;14;medium;matte;pressed;powder;talc;swipe;18;no
Saltern;Eave;nonsense;contour;x;11;14;medium;matte;pressed;powder;talc;swipe;18;no
Tamsin Vale;Flush;found;blush;60;33;15;light;natural;cream;wax;;swipe;18;no
Saltern;Loose Chalk;half label;powder;66;11;17;sheer;matte;loose;powder;Parfum|silica;swipe;40;no
Reedmark;Stand;old;mascara;12;0;0;opaque;matte;cream;wax;nylon fibers;swipe;10;yes
Maren Oake;Lustre;glow;highlight;76;8;20;sheer;satin;cream;wax;CI 75470;swipe;14;no`;

function messyKit(): Kit {
  const rows = readKitCsv(messy).rows.flatMap(({ product }, i) =>
    product ? [{ ...product, id: idFor(`messy ${i}`) }] : [],
  );
  // What came in before colours were checked at the door.
  const impossible: Product = {
    ...PRODUCTS[0]!,
    id: idFor('messy impossible'),
    shade: 'misread',
    lab: [90, 70, -40],
  };
  return owned([...PRODUCTS.filter(every(2)), ...rows, impossible]);
}

export const KITS = {
  demo: { products: PRODUCTS, units: unitsOn(DAY) },
  full: owned(PRODUCTS),
  tiny: owned(PRODUCTS.filter(every(9))),
  'one maker': owned(PRODUCTS.filter((p) => p.maker === 'Saltern' || p.maker === 'Ordway')),
  'unowned gaps': { products: PRODUCTS, units: owned(PRODUCTS.filter(every(3))).units },
  messy: messyKit(),
} as const satisfies Record<string, Kit>;
export type KitName = keyof typeof KITS;

export const WEDDING: Occasion = {
  kind: 'wedding',
  date: DAY,
  lights: ['daylight', 'flash'],
  hoursToLast: 9,
  camera: true,
};
export const PORTRAIT: Occasion = {
  kind: 'portrait',
  date: DAY,
  lights: ['daylight'],
  hoursToLast: 1,
  camera: true,
};

export type Setting = Wearing & {
  readonly look: string;
  readonly kit?: KitName;
  readonly occasion?: Occasion;
  readonly forbids?: Look['forbids'];
};
export type Scene = { readonly chart: Chart; readonly kit: Kit };

export const STAMP = {
  id: idFor('corpus chart'),
  author: 'Runa Castellane',
  at: '2031-05-01T09:00:00Z',
  reason: 'Corpus',
};

/** A look fitted as the app fits it: sound until something is broken in it. */
export function fitted({ look, kit = 'full', occasion = WEDDING, forbids, ...wearing }: Setting): Scene {
  const cut = lookNamed(look);
  const chosen = forbids ? { ...cut, forbids: { ...cut.forbids, ...forbids } } : cut;
  return { chart: fitLook(chosen, clientOf(wearing), KITS[kit], occasion, STAMP).chart, kit: KITS[kit] };
}

export type Break = (scene: Scene) => Scene;
export const onChart =
  (change: (chart: Chart) => Chart): Break =>
  ({ chart, kit }) => ({ chart: change(chart), kit });
/** The first step of a role, or of a title. */
export const stepOf = (chart: Chart, which: string): Step => {
  const step =
    chart.steps.find((s) => s.title === which) ??
    chart.steps.find((s) => s.role === which) ??
    chart.steps.find((s) => s.use.some((u) => u.product.kind === which));
  if (!step)
    throw new Error(
      `the corpus looks for a step called ${which} in ${chart.steps.map((s) => s.title).join(', ')}`,
    );
  return step;
};
export const withStep = (which: string, change: (step: Step, chart: Chart) => Partial<Step>): Break =>
  onChart((chart) => {
    const step = stepOf(chart, which);
    return { ...chart, steps: chart.steps.map((s) => (s === step ? { ...s, ...change(s, chart) } : s)) };
  });
/** A step's colour, mixed where it is a mix, so that a change of anything else changes that alone. */
const colourOf = (step: Step): Product['lab'] => {
  const lab = colourOfUse(step.use);
  return lab ? [...lab] : null;
};
/** The product of a step changed, in the chart and in the kit. */
export const withProduct =
  (which: string, change: (product: Product, chart: Chart) => Partial<Product>): Break =>
  (scene) => {
    const step = stepOf(scene.chart, which);
    const [use] = step.use;
    const old = scene.kit.products.find((p) => p.id === use?.product.id);
    if (!use || !old) throw new Error(`the corpus finds no product in ${which}`);
    const product: Product = {
      ...old,
      id: idFor(`corpus product ${which} ${old.id}`),
      shade: 'of the case',
      lab: colourOf(step),
      ...change(old, scene.chart),
    };
    const unit = {
      id: idFor(`corpus unit of ${product.id}`),
      productId: product.id,
      openedOn: '2031-04-01',
      remainingMg: 1e5,
      place: 'case 1',
    };
    const put = { ...use, unitId: unit.id, product: snapshotOf(product), measure: product.measure };
    return {
      kit: { products: [...scene.kit.products, product], units: [...scene.kit.units, unit] },
      chart: { ...scene.chart, steps: scene.chart.steps.map((s) => (s === step ? { ...s, use: [put] } : s)) },
    };
  };
/** The colour of a step's product some steps from her skin; positive is deeper. */
export const shaded = (which: string, steps: number, more: Partial<Product> = {}): Break =>
  withProduct(which, (_, chart) => ({
    lab: [...shiftDepth(skinTarget(chart.client.skin)!, steps)],
    ...more,
  }));
export const coloured = (which: string, lab: Lab, more: Partial<Product> = {}): Break =>
  withProduct(which, () => ({ lab: [...lab], ...more }));
export const without = (which: string): Break =>
  onChart((chart) => ({ ...chart, steps: chart.steps.filter((s) => s !== stepOf(chart, which)) }));
export const withClient = (change: (client: ClientSnapshot) => Partial<ClientSnapshot>): Break =>
  onChart((chart) => ({ ...chart, client: { ...chart.client, ...change(chart.client) } }));
export const withFeatures = (features: Partial<Features>): Break =>
  withClient(({ features: own }) => ({ features: { ...own, ...features } }));
export const withOccasion = (change: Partial<Occasion>): Break =>
  onChart((chart) => ({ ...chart, occasion: { ...chart.occasion, ...change } }));
export const movedTo = (which: string, where: 'before' | 'after', other: string): Break =>
  onChart((chart) => {
    const [step, beside] = [stepOf(chart, which), stepOf(chart, other)];
    const rest = chart.steps.filter((s) => s !== step);
    const at = rest.indexOf(beside) + (where === 'after' ? 1 : 0);
    return { ...chart, steps: [...rest.slice(0, at), step, ...rest.slice(at)] };
  });
/** A copy of a step right after it, changed. */
export const copied = (which: string, change: (step: Step, chart: Chart) => Partial<Step>): Break =>
  onChart((chart) => {
    const step = stepOf(chart, which);
    const copy: Step = { ...step, ...change(step, chart), id: idFor(`corpus copy of ${step.id}`) };
    return { ...chart, steps: chart.steps.flatMap((s) => (s === step ? [s, copy] : [s])) };
  });
export const all =
  (...breaks: readonly Break[]): Break =>
  (scene) =>
    breaks.reduce((so, one) => one(so), scene);
export const at = (...guides: readonly Extract<Placement, { guide: unknown }>['guide'][]): Placement[] =>
  guides.map((guide) => ({ guide, side: 'both' as const }));
export const asIs: Break = (scene) => scene;

/** The demo's clients as charts hold them. */
export const DEMO_PEOPLE: readonly ClientSnapshot[] = CLIENTS.map((c) => ({
  id: c.id,
  name: c.name,
  landmarks: inferLandmarks(c.measurements),
  features: c.features,
  skin: c.skin,
  readingId: null,
  sensitivities: [...c.sensitivities],
}));
