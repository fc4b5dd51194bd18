import { lightnessAtDepth, type Lab } from '../colour';
import type { Kit } from '../kit';
import type { Look, LookStep } from './document';
import { besideItsLip, fitLook, newStep, offLip, type Step } from '.';
import { client, id, kitOf, LOOK, OCCASION, product, STAMP } from './look.testing';

/** A red of a depth, turned by so many degrees. */
const redAt = (depth: number, turn = 0, chroma = 30): Lab => {
  const angle = ((25 + turn) * Math.PI) / 180;
  return [lightnessAtDepth(depth), chroma * Math.cos(angle), chroma * Math.sin(angle)];
};

describe('a liner beside its lip', () => {
  test.each([
    ['judge', -1.2, 3, 38],
    ['propose', -0.8, 2.6, 34],
  ] as const)('%s: from %d to %d steps deeper, turned by %d degrees at most', (how, least, most, turn) => {
    for (const depth of [6, 10, 14, 18, 22])
      for (const [by, turned, off] of [
        [0, 0, null],
        [least + 0.02, 0, null],
        [least - 0.02, 0, `${(-least + 0.02).toFixed(1)} steps lighter than`],
        [most - 0.02, 0, null],
        [most + 0.02, 0, `${(most + 0.02).toFixed(1)} steps deeper than`],
        [0, turn - 0.5, null],
        [0, turn + 0.5, 'another hue than'],
        [0, -turn - 0.5, 'another hue than'],
      ] as const)
        expect([depth, by, turned, offLip(redAt(depth + by, turned), redAt(depth), how)]).toEqual([
          depth,
          by,
          turned,
          off,
        ]);
  });

  test('no hue is seen of what is nearly grey, on either of them', () => {
    expect(offLip(redAt(12, 90, 11.9), redAt(12), 'judge')).toBeNull();
    expect(offLip(redAt(12, 90), redAt(12, 0, 11.9), 'judge')).toBeNull();
    expect(offLip(redAt(12, 90, 12.1), redAt(12, 0, 12.1), 'judge')).toBe('another hue than');
    // Round the circle: 355 and 5 degrees are ten apart.
    expect(offLip(redAt(12, -30), redAt(12, -20), 'propose')).toBeNull();
  });
});

const lip = (n: number, shade: Lab, more: Partial<LookStep> = {}): LookStep => {
  const { use: _use, ...step } = newStep('lip', id(n), [{ guide: 'lips', side: 'both' }]);
  return { ...step, title: 'Lip', shade: { lab: [...shade] }, wants: { kinds: ['lip colour'] }, ...more };
};
const liner = (n: number, shade: Lab, more: Partial<LookStep> = {}): LookStep => {
  const { use: _use, ...step } = newStep('lip line', id(n), [{ guide: 'lipLine', side: 'both' }]);
  return { ...step, title: 'Line', shade: { lab: [...shade] }, wants: { kinds: ['lip liner'] }, ...more };
};
const ASKED = redAt(11);
const fit = (kit: Kit, ...steps: LookStep[]) =>
  fitLook({ ...LOOK, steps } satisfies Look, client(), kit, OCCASION, STAMP);
const lipstick = (n: number, colour: Lab) => product(n, 'lip colour', colour);
const pencil = (n: number, colour: Lab) => product(n, 'lip liner', colour, { texture: 'pencil' });

describe('a liner that was chosen for what the look asks, round a lip of another colour', () => {
  const plan = [liner(71, ASKED), lip(72, ASKED)];

  test('stays where it is no ring', () => {
    const { chart, notes } = fit(kitOf(lipstick(81, redAt(12)), pencil(82, ASKED)), ...plan);
    expect(chart.steps[0]!.use[0]!.product.shade).toBe('S82');
    expect(chart.steps[0]!.shade).toEqual({ lab: [...ASKED] });
    expect(notes.filter((note) => note.includes('Line'))).toEqual([]);
  });

  test('gives way to the one like the lip, which is said, and asks for that from then on', () => {
    const worn = redAt(17);
    const { chart, notes, proposals, gaps } = fit(
      kitOf(lipstick(81, worn), pencil(82, ASKED), pencil(83, redAt(17.5)), pencil(84, redAt(19.2))),
      ...plan,
    );
    const [line] = chart.steps;
    expect(line!.use[0]!.product.shade).toBe('S83');
    expect(line!.shade).toEqual({ lab: [...worn] });
    expect(proposals[line!.id]!.map(({ use }) => use[0]!.product.shade)[0]).toBe('S83');
    expect(gaps).toEqual({});
    expect(notes).toContain('Line: Ordway Line S83 instead of Ordway Line S82, as deep as the lip it lines.');
  });

  test.each([
    ['lighter', 4.2, '6.8 steps lighter than lip'],
    ['deeper', 15, '4.0 steps deeper than lip'],
  ])('is none where the kit has only a ring, %s, and it is said what to do', (_, depth, off) => {
    const { chart, notes, gaps, proposals } = fit(
      kitOf(lipstick(81, redAt(11)), pencil(82, redAt(depth))),
      ...plan,
    );
    const [line] = chart.steps;
    expect(line!.use).toEqual([]);
    expect(proposals[line!.id]).toEqual([]);
    expect(gaps[line!.id]!.buy).toContain('a lip liner, ');
    const said = notes.filter((note) => note.startsWith('Line: '));
    expect(said).toHaveLength(1);
    expect(said[0]).toContain(
      `Ordway Line S82 is ${off}: a ring would show. Line with the lip colour itself`,
    );
  });

  test('is held to the lip of its own variant, and to the plan’s where that has none', () => {
    const evening = { variant: 'evening' };
    const kit = kitOf(lipstick(81, ASKED), lipstick(82, redAt(18)), pencil(83, ASKED), pencil(84, redAt(18)));
    const steps = (of: readonly LookStep[]) =>
      Object.fromEntries(fit(kit, ...of).chart.steps.map((s) => [s.id, s.use[0]?.product.shade]));
    const both = steps([...plan, liner(73, ASKED, evening), lip(74, redAt(18), evening)]);
    expect([both[id(71)], both[id(73)]]).toEqual(['S83', 'S84']);
    const without = steps([...plan, liner(73, redAt(18), evening)]);
    expect([without[id(71)], without[id(73)]]).toEqual(['S83', 'S83']);
  });

  test('stays where there is no lip to line', () => {
    const { chart, gaps } = fit(kitOf(pencil(82, redAt(4.2))), liner(71, ASKED));
    expect(chart.steps[0]!.use[0]!.product.shade).toBe('S82');
    expect(gaps).toEqual({});
  });
});

describe('what a step may take beside its lip', () => {
  const use = (of: ReturnType<typeof product>): Step['use'] => [
    { product: of, unitId: null, measure: 'swipe', parts: 1 },
  ];
  const lined: Step = { ...liner(71, ASKED), use: [] };
  const worn: Step = { ...lip(72, ASKED), use: use(lipstick(81, redAt(12))) };
  const at = (lab: Lab | null) => ({ lab });

  test('is no ring round it, and has a colour that is read', () => {
    const fits = besideItsLip(lined, [lined, worn]);
    expect(
      [redAt(12), redAt(14.5), redAt(14.7), redAt(11.3), redAt(11.1)].map((lab) => fits(at(lab))),
    ).toEqual([true, true, false, true, false]);
    expect(fits(at(null))).toBe(false);
  });

  test('is anything where it lines none, or one whose colour nobody believes', () => {
    const far = at(redAt(3));
    expect(besideItsLip(lined, [lined])(far)).toBe(true);
    expect(besideItsLip(worn, [lined, worn])(far)).toBe(true);
    expect(besideItsLip(lined, [lined, worn], () => null)(far)).toBe(true);
    expect(besideItsLip(lined, [lined, worn])(far)).toBe(false);
  });
});
