import { fitLook, type Chart, type Step } from '../look';
import { client, id, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { FAULTS } from './faults';
import { causesFrom } from './findCauses';

const fitted: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;

/** A chart with one step of each of these roles, named by its role; a role twice is numbered. */
function chartOf(...roles: readonly Step['role'][]): Chart {
  const steps = roles.map((role, n): Step => ({
    ...fitted.steps[0]!,
    id: id(900 + n),
    role,
    title: `${role} ${roles.slice(0, n).filter((r) => r === role).length + 1}`,
  }));
  return { ...fitted, steps };
}
const ROLES = [...new Set(FAULTS.flatMap(({ causes }) => causes.flatMap((c) => c.roles)))];
const ALL = chartOf('care', 'care', ...ROLES.filter((role) => role !== 'care'));
const at = (title: string, chart = ALL): string => chart.steps.find((s) => s.title === title)!.id;
const finding = (rule: string, ...titles: string[]) => ({
  rule,
  message: `${rule} speaks`,
  stepIds: titles.map((title) => at(title)),
});
const orderOf = (...args: Parameters<typeof causesFrom>): string[] =>
  causesFrom(...args).map(({ cause }) => cause.id);

// What the review finds, what was seen, what it then comes from, and the kinds of step it sits in.
const SPOKEN: readonly (readonly [rule: string, seen: string, cause: string, roles: string])[] = [
  ['too-many-layers', 'cakey', 'layers', 'base conceal powder'],
  ['too-many-layers-under-eye', 'cakey', 'layers', 'base conceal powder'],
  ['heavy-base', 'cakey', 'layers', 'base conceal powder'],
  ['cream-over-powder', 'cakey', 'powder-then-cream', 'blush contour highlight'],
  ['thick-powder-on-lines', 'cakey', 'powder', 'powder'],
  ['matte-on-dry', 'cakey', 'powder', 'powder'],
  ['too-many-layers-under-eye', 'creases', 'too-much', 'conceal'],
  ['set-too-late', 'creases', 'late', 'conceal'],
  ['grey-cast', 'creases', 'too-light', 'conceal'],
  ['family-conflict', 'slides', 'families', 'base'],
  ['wet-on-wet', 'slides', 'wet', 'care'],
  ['clean-first', 'slides', 'residue', 'care'],
  ['family-conflict', 'lifts', 'beneath', 'care'],
  ['wet-on-wet', 'lifts', 'beneath', 'care'],
  ['rub-after-airbrush', 'lifts', 'rubbed', 'base'],
  ['wet-on-wet', 'patchy', 'damp', 'powder eye blush contour bronze'],
  ['not-set-on-oily', 'patchy', 'damp', 'powder eye blush contour bronze'],
  ['powder-before-set', 'patchy', 'damp', 'powder eye blush contour bronze'],
  ['grey-cast', 'grey', 'too-light', 'conceal powder base'],
  ['ashy-powder', 'grey', 'too-light', 'conceal powder base'],
  ['chalky-blush', 'grey', 'too-light', 'conceal powder base'],
  ['cool-contour-on-deep', 'grey', 'too-cool', 'contour base'],
  ['base-off-skin', 'grey', 'too-cool', 'contour base'],
  ['orange-on-fair', 'orange', 'too-warm', 'contour bronze base'],
  ['bronzer-undertone', 'orange', 'too-warm', 'contour bronze base'],
  ['base-off-skin', 'orange', 'too-warm', 'contour bronze base'],
  ['out-of-limits', 'muddy', 'forward', 'contour'],
  ['far-from-guide', 'muddy', 'forward', 'contour'],
  ['blush-on-contour', 'muddy', 'overlap', 'blush'],
  ['contour-does-nothing', 'flat', 'one-tone', 'contour blush bronze highlight'],
  ['blush-hardly-shows', 'flat', 'one-tone', 'contour blush bronze highlight'],
  ['light-does-nothing', 'flat', 'one-tone', 'contour blush bronze highlight'],
  ['shine-everywhere', 'flat', 'light-everywhere', 'highlight'],
  ['light-in-shadow', 'flat', 'light-everywhere', 'highlight'],
  ['white-cast', 'flash', 'scatter', 'powder'],
  ['ashy-powder', 'flash', 'scatter', 'powder'],
  ['no-primer-on-oily', 'shine', 'no-primer', 'powder base'],
  ['oily-zone-left-out', 'shine', 'no-primer', 'powder base'],
  ['not-set-on-oily', 'shine', 'no-primer', 'powder base'],
  ['dewy-base-on-oily', 'shine', 'no-primer', 'powder base'],
  ['hydrating-spray-for-long', 'shine', 'spray', 'care'],
  ['not-set-on-oily', 'prints', 'moist', 'lash conceal'],
  ['mascara-for-tears', 'prints', 'mascara', 'lash'],
  ['lip-bleeds', 'bleeds', 'no-edge', 'lip lip line'],
  ['lip-for-long', 'bleeds', 'no-edge', 'lip lip line'],
  ['eyes-first', 'fallout', 'after-base', 'eye'],
  ['uneven-sides', 'uneven', 'by-eye', 'contour blush brow liner'],
  ['mirror-check', 'uneven', 'by-eye', 'contour blush brow liner'],
  ['out-of-limits', 'wide-nose', 'sides', 'contour'],
];

describe('what the review found', () => {
  test.each(SPOKEN)('%s speaks, when it is %s, for %s in %s', (rule, seen, cause, roles) => {
    const [first] = causesFrom([finding(rule)], ALL, seen);
    expect(first).toMatchObject({ cause: { id: cause }, because: `${rule} speaks` });
    expect(first!.cause.roles.join(' ')).toBe(roles);
    // Where it points nowhere the cause sits in the first of its kinds of step; where it points, there.
    expect(first!.step!.role).toBe(roles.startsWith('lip line') ? 'lip line' : roles.split(' ')[0]);
    for (const role of first!.cause.roles) {
      const there = causesFrom([finding(rule, `${role} 1`)], ALL, seen);
      expect(there[0]).toMatchObject({ cause: { id: cause }, step: { title: `${role} 1` } });
    }
  });

  test('nothing else speaks for anything: every rule of every cause is among these', () => {
    const said = new Set(SPOKEN.map(([rule, seen, cause]) => `${seen} ${cause} ${rule}`));
    const known = FAULTS.flatMap((f) => f.causes.flatMap((c) => c.rules.map((r) => `${f.id} ${c.id} ${r}`)));
    expect(known.filter((one) => !said.has(one))).toEqual([]);
    expect(known).toHaveLength(said.size);
  });

  test('a finding weighs six, one that could be there and is not two fifths, what the chart cannot show one', () => {
    const shares = (...rules: string[]): Record<string, number> =>
      Object.fromEntries(
        causesFrom(
          rules.map((rule) => finding(rule)),
          ALL,
          'lifts',
        ).map(({ cause, share }) => [cause.id, share]),
      );
    // By experience 1, 1/2, 1/3 for those no rule tells of, then 1/4 and 1/5 of two fifths: 2.0133 in all.
    const quiet = shares();
    const all = 1 + 1 / 2 + 1 / 3 + 0.4 / 4 + 0.4 / 5;
    expect(quiet.pressing).toBeCloseTo(1 / all, 12);
    expect(quiet['dry-sponge']).toBeCloseTo(1 / 2 / all, 12);
    expect(quiet.beneath).toBeCloseTo(0.1 / all, 12);
    const shown = shares('rub-after-airbrush');
    expect(shown.rubbed! / shown.pressing!).toBeCloseTo(6 / 5, 12);
    expect(Object.values(shown).reduce((sum, s) => sum + s, 0)).toBeCloseTo(1, 12);
    // One finding leads over whatever is only usual, however rare it is.
    for (const [rule, seen, cause] of SPOKEN) expect(orderOf([finding(rule)], ALL, seen)[0]).toBe(cause);
    expect(orderOf([], ALL, 'lifts')).toEqual(['pressing', 'dry-sponge', 'too-light', 'beneath', 'rubbed']);
  });

  test('seen at a step, a cause in that step gains 1.6; without such a step it keeps a fifth', () => {
    const share = (seenAt: string | null, chart = ALL): number[] =>
      causesFrom([], chart, 'shine', seenAt)
        .sort((a, b) => a.cause.id.localeCompare(b.cause.id))
        .map((c) => c.share);
    const ratio = ([primer, spray]: number[]): number => spray! / primer!;
    const usual = ratio(share(null));
    expect(usual).toBeCloseTo(1 / 2, 12);
    expect(ratio(share(at('care 2')))).toBeCloseTo(1.6 / 2, 12);
    expect(ratio(share(at('powder 1')))).toBeCloseTo(1 / 2 / 1.6, 12);
    // Seen in another of its kinds of step, that step is the one.
    expect(ratio(share(at('base 1')))).toBeCloseTo(1 / 2 / 1.6, 12);
    expect(ratio(share(at('lip 1')))).toBeCloseTo(usual, 12);
    expect(ratio(share(null, chartOf('base', 'powder')))).toBeCloseTo(0.2 / 2, 12);
    expect(causesFrom([], chartOf('base'), 'shine').find((c) => c.cause.id === 'spray')!.step).toBeNull();
  });
});

describe('the step a cause sits in', () => {
  const stepOf = (
    seen: string,
    cause: string,
    ...rest: [Parameters<typeof causesFrom>[0], string?, Chart?]
  ) => causesFrom(rest[0], rest[2] ?? ALL, seen, rest[1] ?? null).find((c) => c.cause.id === cause)!;

  test('of what a finding points at, the one of its kinds; else the last of them', () => {
    expect(stepOf('slides', 'wet', [finding('wet-on-wet', 'care 1', 'base 1')]).step!.title).toBe('care 1');
    expect(stepOf('patchy', 'damp', [finding('wet-on-wet', 'base 1', 'powder 1')]).step!.title).toBe(
      'powder 1',
    );
    expect(stepOf('patchy', 'damp', [finding('wet-on-wet', 'care 1', 'base 1')]).step!.title).toBe('base 1');
  });

  test('of two findings the one that is about the step at which it is seen', () => {
    const two = [finding('out-of-limits', 'base 1'), finding('far-from-guide', 'contour 1')];
    expect(stepOf('muddy', 'forward', two)).toMatchObject({ because: 'out-of-limits speaks' });
    expect(stepOf('muddy', 'forward', two, at('contour 1'))).toMatchObject({
      because: 'far-from-guide speaks',
      step: { title: 'contour 1' },
    });
    expect(stepOf('muddy', 'forward', two, at('lip 1'))).toMatchObject({ because: 'out-of-limits speaks' });
  });

  test('of care it is what lies beneath: the last before anything is laid', () => {
    expect(stepOf('slides', 'wet', []).step!.title).toBe('care 2');
    const spray = chartOf('care', 'base', 'powder', 'care');
    expect(stepOf('slides', 'wet', [], undefined, spray).step!.title).toBe('care 1');
    expect(stepOf('slides', 'wet', [], undefined, chartOf('care', 'care')).step!.title).toBe('care 2');
    expect(stepOf('slides', 'wet', [], undefined, chartOf('base', 'care')).step).toBeNull();
  });

  test('never one that only a variant has', () => {
    const [base, powder] = chartOf('base', 'powder').steps;
    const varied = { ...fitted, steps: [{ ...base!, variant: 'evening' }, powder!] };
    const causes = causesFrom(
      [{ rule: 'heavy-base', message: '', stepIds: [base!.id] }],
      varied,
      'cakey',
      base!.id,
    );
    expect(causes.map((c) => c.step?.title ?? null)).toEqual(['powder 1', 'powder 1', null]);
  });
});

test('everything is said in words, and no two things alike', () => {
  const seen = FAULTS.map((f) => f.seen);
  expect(new Set(seen).size).toBe(seen.length);
  expect(new Set(FAULTS.map((f) => f.id)).size).toBe(FAULTS.length);
  for (const { id: fault, seen: words, causes } of FAULTS) {
    expect(fault).toMatch(/^[a-z-]{4,}$/);
    expect(words.length).toBeGreaterThan(4);
    for (const cause of causes) {
      expect(cause.id).toMatch(/^[a-z-]{3,}$/);
      for (const said of [cause.words, cause.now, cause.next]) expect(said.length).toBeGreaterThan(8);
    }
    expect(new Set(causes.map((c) => c.words)).size).toBe(causes.length);
  }
});
