import type { Lab } from '../colour';
import type { Product } from '../kit';
import type { Chart, Step } from '../look';
import { acceptFinding, reviewChart, RULE_GROUPS, RULES } from '.';
import { id } from '../look/look.testing';
import type { WearGroup } from '../trial';
import { sceneOf, SPEAKS } from './eachRule.testing';
import {
  added,
  extra,
  failing,
  KIT,
  other,
  PRODUCTS,
  QUIET,
  scene,
  skin,
  STEPS,
  use,
  withFeatures,
  without,
  withStep,
  type Guide,
  type Name,
} from './review.testing';

test('at least 80 rules, each with a name of its own, a reason, and a scene', () => {
  expect(RULES.length).toBeGreaterThanOrEqual(80);
  expect(new Set(RULES.map((r) => r.id)).size).toBe(RULES.length);
  for (const rule of RULES) expect(rule.why.length).toBeGreaterThan(20);
  expect(Object.keys(SPEAKS).sort()).toEqual(RULES.map((r) => r.id).sort());
  expect(RULE_GROUPS.flatMap((g) => g.rules)).toHaveLength(RULES.length);
});

test('the quiet chart is quiet', () =>
  expect(reviewChart(QUIET, KIT).map((f) => `${f.rule}: ${f.message}`)).toEqual([]));

test.each(Object.keys(SPEAKS))('%s speaks', (rule) =>
  expect(sceneOf(rule).found.map((f) => f.rule)).toContain(rule),
);

test('every fix mends what it is for', () => {
  let fixes = 0;
  for (const rule of Object.keys(SPEAKS)) {
    const { chart, kit, found } = sceneOf(rule);
    const fixable = found.filter((f) => f.rule === rule && f.fix);
    if (fixable.length === 0) continue;
    fixes++;
    const mended = reviewChart(fixable[0]!.fix!.apply(chart), kit);
    expect({ rule, left: mended.filter((f) => f.rule === rule).length }).toEqual({
      rule,
      left: found.filter((f) => f.rule === rule).length - 1,
    });
  }
  expect(fixes).toBeGreaterThan(12);
});

test('a base goes round the eyes: what lies on them does not disagree with it', () => {
  const brow = {
    ...STEPS.brow,
    use: [{ ...STEPS.brow.use[0]!, product: { ...STEPS.brow.use[0]!.product, family: 'wax' as const } }],
  };
  const rest = QUIET.steps.filter((s) => s.id !== brow.id);
  const at = rest.findIndex((s) => s.role === 'base');
  const eyesFirst: Chart = { ...QUIET, steps: [...rest.slice(0, at), brow, ...rest.slice(at)] };
  expect(reviewChart(eyesFirst, KIT).map((f) => f.rule)).not.toContain('family-conflict');
});

test('what is noted of one side only is found, and mended, on that side only', () => {
  const uneven = { right: { narrowTemples: true, lines: ['crow’s feet' as const] } };
  const forehead = withFeatures(
    uneven,
    withStep('contour', { placements: [{ guide: 'foreheadContour', side: 'both' }] }),
  );
  const [temples] = reviewChart(forehead, KIT).filter((f) => f.rule === 'narrow-temples');
  expect(temples!.message).toContain('client’s right temple');
  expect(temples!.fix!.apply(forehead).steps.find((s) => s.role === 'contour')!.placements).toEqual([
    { guide: 'foreheadContour', side: 'left' },
  ]);
  const wedge = (side: 'left' | 'right') =>
    withFeatures(uneven, withStep('conceal', { placements: [{ guide: 'outerWedge', side }] }));
  const rules = (chart: Chart) => reviewChart(chart, KIT).map((f) => f.rule);
  expect(rules(wedge('right'))).toContain('wedge-on-crows-feet');
  expect(rules(wedge('left'))).not.toContain('wedge-on-crows-feet');
});

test.each(['patch-test', 'unknown-ingredients', 'allergen'])(
  'where nothing is to be minded, %s has nothing to say',
  (rule) => {
    const { chart, kit } = sceneOf(rule);
    const told = (sensitivities: readonly string[]): string[] =>
      reviewChart({ ...chart, client: { ...chart.client, sensitivities: [...sensitivities] } }, kit)
        .filter((finding) => finding.rule === rule)
        .map(({ message }) => message);
    const some = told(chart.client.sensitivities);
    expect(some.length).toBeGreaterThan(0);
    expect(told(['none', 'No known allergies'])).toEqual([]);
    // Beside something that is, it is not read out.
    expect(told(['none', ...chart.client.sensitivities])).toEqual(some);
  },
);

test('what several steps take out of one unit is added up, to the mg, and what is done takes no more', () => {
  const needs = PRODUCTS.powder.mgPerMeasure;
  const twice = added(extra('Powder again', 'set', 'powder', PRODUCTS.powder, ['zone.chin']), 'brow');
  const left = (remainingMg: number, chart: Chart): string[] =>
    reviewChart(chart, {
      ...KIT,
      units: KIT.units.map((u) => (u.productId === PRODUCTS.powder.id ? { ...u, remainingMg } : u)),
    })
      .filter(({ rule }) => rule === 'not-enough')
      .map(({ message }) => message.slice(message.indexOf(' has ')));
  expect(left(2 * needs, twice)).toEqual([]);
  expect(left(2 * needs - 1, twice)).toEqual([
    ` has ${2 * needs - 1} mg left; ${needs} are needed, after ${needs} in earlier steps.`,
  ]);
  expect(left(needs - 1, twice)).toEqual([
    ` has ${needs - 1} mg left; ${needs} are needed.`,
    ` has ${needs - 1} mg left; ${needs} are needed, after ${needs} in earlier steps.`,
  ]);
  const [first] = twice.steps.filter(({ role }) => role === 'powder');
  const worked = {
    ...twice,
    steps: twice.steps.map((s) =>
      s === first
        ? { ...s, done: { by: 'Ada', at: '2031-05-14T09:30:00Z', ticked: true, deviations: [] } }
        : s,
    ),
  };
  expect(left(needs, worked)).toEqual([]);
});

test('mascara and bands are found on lash extensions only, each by itself, and left out on request', () => {
  const band = added(extra('Lash band', 'lashes', 'lash', PRODUCTS.lashes, ['lashes']), 'liner');
  for (const lashes of ['full', 'sparse', 'straight', undefined] as const)
    expect(
      reviewChart(withFeatures(lashes ? { lashes } : {}, band), KIT).map(({ rule }) => rule),
    ).not.toContain('lash-extensions');
  const worn = withFeatures({ lashes: 'extensions' }, band);
  const found = reviewChart(worn, KIT).filter(({ rule }) => rule === 'lash-extensions');
  expect(found.map(({ message }) => message)).toEqual([
    'Mascara: lash extensions are worn.',
    'Lash band: lash extensions are worn.',
  ]);
  const mended = found.reduce((chart, { fix }) => fix!.apply(chart), worn);
  expect(mended.steps.filter(({ role }) => role === 'lash')).toEqual([]);
  expect(mended.steps).toHaveLength(worn.steps.length - 2);
});

test('a colour is unread where the kind has one: a clear powder, gloss or spray is none', () => {
  const told = (name: Name, more: Partial<Product>): string[] => {
    const { chart, kit } = other(name, more);
    return reviewChart(chart, kit)
      .filter(({ rule }) => rule === 'colour-not-read')
      .map(({ message }) => message);
  };
  expect(told('powder', { lab: null })).toEqual([]);
  expect(told('brow', { lab: null })).toEqual([]);
  expect(told('lip', { lab: null, coverage: 'sheer' })).toEqual([]);
  for (const name of ['base', 'conceal', 'contour', 'blush', 'highlight', 'eye', 'lip'] as const)
    expect([name, told(name, { lab: null }).length]).toEqual([name, 1]);
  expect(told('blush', { lab: null })[0]).toContain('in blush: the colour is not read');
});

test('gravest first; a studio grades a rule otherwise or switches it off', () => {
  const { chart, kit } = sceneOf('allergen');
  const both = reviewChart({ ...chart, steps: chart.steps.filter((x) => x.phase !== 'clean') }, kit);
  expect(both[0]!.rule).toBe('allergen');
  expect(reviewChart(chart, kit, { allergen: 'off' })).toEqual([]);
  expect(reviewChart(chart, kit, { allergen: 'note' })[0]!.severity).toBe('note');
});

test('an accepted finding keeps its reason and steps back', () => {
  const { chart, kit } = sceneOf('heavy-base');
  const [finding] = reviewChart(chart, kit);
  const accepted = acceptFinding(chart, finding!, 'Stage light');
  expect(reviewChart(accepted, kit)[0]).toMatchObject({ rule: 'heavy-base', accepted: 'Stage light' });
  expect(acceptFinding(accepted, finding!, 'Stage light, far away').findings).toHaveLength(1);
});

describe('hours judged by evidence', () => {
  const day = (hoursToLast: number, chart = QUIET): Chart => ({
    ...chart,
    occasion: { ...chart.occasion, hoursToLast },
  });
  const found = (wears: readonly WearGroup[], chart = day(8), grades = {}) =>
    reviewChart(chart, KIT, grades, wears).filter((f) => f.rule === 'holds-the-hours');

  test.each([
    [0, []],
    [2, []],
    [3, ['caution']],
    [20, ['caution']],
  ])('%i wears that failed say %j', (count, says) => {
    expect(found(count === 0 ? [] : failing(count)).map((f) => f.severity)).toEqual(says);
  });

  test('where it may as well hold it whispers', () => {
    const mixed = [...failing(3), ...failing(2, { good: 9, bad: null })];
    expect(found(mixed).map((f) => f.severity)).toEqual(['note']);
  });

  test('what held is silent, however long it was watched; and so is another line, or another zone', () => {
    expect(found(failing(20, { good: 10, bad: null }))).toEqual([]);
    expect(found(failing(20, { worn: 'Something else' }))).toEqual([]);
    // Failing late is no matter for a short day.
    expect(found(failing(20, { good: 9, bad: 10 }), day(4))).toEqual([]);
    expect(found(failing(20, { good: 5, bad: 6 }), day(10))).toHaveLength(1);
  });

  test('it says how many, how sure, and when to touch up; the studio’s own grade wins', () => {
    const [one] = found(failing(12, { skin: 'normal', climate: 'mild' }));
    expect(one!.message).toMatch(
      /nose, to 8 h: holds on about \d of 10 such days \(\d to \d\): 12 wears of it looked at\. Something longer-wearing, or a touch-up near \d h\.$/,
    );
    expect(found(failing(12), day(8), { 'holds-the-hours': 'stop' })[0]!.severity).toBe('stop');
    expect(found(failing(12), day(8), { 'holds-the-hours': 'off' })).toEqual([]);
  });

  test('of one step evidence and the usual never both speak', () => {
    const long = day(12, without('spray'));
    const rules = (wears: readonly WearGroup[]) => reviewChart(long, KIT, {}, wears).map((f) => f.rule);
    expect(rules([])).toContain('no-spray-for-long');
    expect(rules(failing(2))).toContain('no-spray-for-long');
    const spoken = rules(failing(12));
    expect(spoken).toContain('holds-the-hours');
    expect(spoken).not.toContain('no-spray-for-long');
  });
});

describe('a base on a face of more than one colour', () => {
  const two = { ...skin, forehead: [46, 12, 15] as Lab, chin: [48, 12, 16] as Lab };
  const onTwo = (chart: Chart, of: Record<string, Lab> = two): string[] =>
    reviewChart({ ...chart, client: { ...chart.client, skin: of } }, KIT)
      .filter(({ rule }) => rule === 'face-apart')
      .map(({ message }) => message);
  const at = (...placed: Guide[]): Step['placements'] => placed.map((guide) => ({ guide, side: 'both' }));
  const correct = (...placed: Guide[]): Step => ({
    ...STEPS.conceal,
    id: id(990),
    title: 'Correct',
    role: 'correct',
    placements: at(...placed),
  });

  test('says which parts, how far and which way', () => {
    const [said, ...more] = onTwo(QUIET);
    expect(more).toEqual([]);
    expect(said).toMatch(
      /is one shade: from what it is matched to the forehead is \d+\.\d deeper, the chin \d+\.\d deeper\.$/,
    );
    expect(onTwo(QUIET, skin)).toEqual([]);
    expect(onTwo(QUIET, { ...skin, forehead: [80, 6, 16] })[0]).toMatch(/the forehead is \d+\.\d lighter\.$/);
    expect(onTwo(QUIET, { ...skin, cheek: [60, 30, 16] })[0]).toMatch(/the cheek is \d+\.\d redder\.$/);
  });

  test('what is corrected first, or has a shade of its own, is met; the rest is still said', () => {
    const [first, ...rest] = QUIET.steps;
    const chart = (...more: Step[]): Chart => ({ ...QUIET, steps: [first!, ...more, ...rest] });
    expect(onTwo(chart(correct('zone.foreheadCentre', 'zone.chin')))).toEqual([]);
    expect(onTwo(chart(correct('zone.chin')))[0]).toMatch(/the forehead is \d+\.\d deeper\.$/);
    const edge = {
      ...STEPS.base,
      id: id(991),
      title: 'Edge',
      placements: at('zone.foreheadCentre', 'zone.chin'),
    };
    expect(onTwo(chart(edge)).filter((said) => said.startsWith(STEPS.base.title))).toEqual([]);
  });

  test('two layers over the whole face meet no part of it; said once, of what is left under both', () => {
    const again = { ...STEPS.base, id: id(992), title: 'Once more' };
    const twice = { ...QUIET, steps: QUIET.steps.flatMap((s) => (s.role === 'base' ? [s, again] : [s])) };
    const said = reviewChart({ ...twice, client: { ...twice.client, skin: two } }, KIT).filter(
      ({ rule }) => rule === 'face-apart',
    );
    expect(said.map(({ stepIds }) => stepIds)).toEqual([[STEPS.base.id, again.id]]);
  });

  test('what the base covers is not seen, what it lets through is', () => {
    const covered = (coverage: 'sheer' | 'full', doseMgPerCm2: number): Chart =>
      withStep('base', { use: use({ ...PRODUCTS.base, coverage }), doseMgPerCm2 });
    expect(onTwo(covered('sheer', 0.3))).toHaveLength(1);
    expect(onTwo(covered('full', 6))).toEqual([]);
  });

  test('without a base, without a reading, or where the base does not lie, there is nothing to say', () => {
    expect(onTwo(without('base'))).toEqual([]);
    expect(onTwo(QUIET, {})).toEqual([]);
    expect(onTwo(withStep('base', { placements: at('zone.apple') }))).toEqual([]);
  });
});

test('a contour is lifted out of the hollow where it lies there, and its other places stay', () => {
  const placements: Step['placements'] = [
    { guide: 'cheekContour', side: 'both', params: { liftMm: -6, width: 0.9 } },
    { guide: 'zone.chin', side: 'both' },
    { guide: 'blushLifted', side: 'both', params: { liftMm: -1 } },
  ];
  const { chart, kit } = scene(withStep('contour', { placements }));
  const finding = reviewChart(chart, kit).find(({ rule }) => rule === 'in-the-hollow')!;
  const mended = finding.fix!.apply(chart).steps.find(({ id: of }) => of === finding.stepIds[0])!;
  expect(mended.placements).toEqual([
    { guide: 'cheekContour', side: 'both', params: { liftMm: 0, width: 0.9 } },
    ...placements.slice(1),
  ]);
});

test('an answer counts for just the steps it was given for', () => {
  const { chart, kit } = scene(withStep('base', { doseMgPerCm2: 2 }));
  const finding = reviewChart(chart, kit).find(({ rule }) => rule === 'heavy-base')!;
  const accepted = acceptFinding(chart, finding, 'as she wears it');
  const whyOf = (stepIds: readonly string[]): string | null | undefined =>
    reviewChart(
      { ...accepted, findings: accepted.findings.map((one) => ({ ...one, stepIds: [...stepIds] })) },
      kit,
    ).find(({ rule }) => rule === 'heavy-base')!.accepted;
  expect(whyOf(finding.stepIds)).toBe('as she wears it');
  expect(whyOf([...finding.stepIds, STEPS.lip.id])).toBeNull();
  expect(whyOf([])).toBeNull();
  expect(whyOf([STEPS.lip.id])).toBeNull();
});

describe('concealer under the eye is set', () => {
  const late = (chart: Chart) => reviewChart(chart, KIT).find(({ rule }) => rule === 'set-too-late');
  const titles = (chart: Chart): string[] => chart.steps.map(({ title }) => title);

  test.each([
    [21, null],
    [22, 'Conceal Powder Contour Blush Light'],
  ])('of %d minutes and four more in between it is said from more than 25 on', (handsOnMinutes, mended) => {
    const chart = withStep('contour', { handsOnMinutes });
    const finding = late(chart);
    if (mended === null) expect(finding).toBeUndefined();
    else expect(titles(finding!.fix!.apply(chart)).slice(3, 8).join(' ')).toBe(mended);
  });

  test('with the powder that is there before it already, which comes after it', () => {
    const powder = QUIET.steps.find(({ id: of }) => of === STEPS.powder.id)!;
    const chart = added(powder, 'conceal', without('powder'));
    const finding = late(chart)!;
    expect(finding.stepIds).toEqual([STEPS.conceal.id]);
    expect(titles(finding.fix!.apply(chart)).slice(2, 5)).toEqual(['Base', 'Conceal', 'Powder']);
  });

  test('by nothing that is there: that is said, and nothing is made up', () => {
    const finding = late(without('powder'))!;
    expect(finding.stepIds).toEqual([STEPS.conceal.id]);
    expect(finding.fix).toBeFalsy();
  });
});
