import { snapshotOf, TEXTURES, TOOLS, type Product, type Texture, type Tool } from '../kit';
import { TECHNIQUES, type LookStep, type Step } from './document';
import { client, id, KIT, kitOf, LOOK, OCCASION, product, STAMP } from './look.testing';
import { fitLook, refuseAdaptation, TOOL_FOR_TEXTURE, toolInstead, type Look } from '.';

type Role = LookStep['role'];
const worked = (
  role: Role,
  tool: Tool,
  texture: Texture,
  more: { readonly technique?: LookStep['technique']; readonly textures?: Texture[] } = {},
): Parameters<typeof toolInstead>[0] => {
  const { measure, ...laid } = product(60, 'blush', [60, 20, 14], { texture });
  return {
    role,
    tool,
    technique: more.technique ?? 'press',
    wants: { kinds: ['blush'], ...(more.textures ? { textures: more.textures } : {}) },
    use: [{ unitId: null, product: snapshotOf({ ...laid, measure }), parts: 1, measure }],
  };
};
const ANYBODY = { sensitivities: [] };
const instead = (...asked: Parameters<typeof worked>): string | undefined => {
  const found = toolInstead(worked(...asked), ANYBODY);
  return found ? `${found.tool}, ${found.technique}` : undefined;
};
const ROLES: readonly Role[] = [
  'care',
  'base',
  'conceal',
  'contour',
  'highlight',
  'blush',
  'bronze',
  'powder',
  'brow',
  'eye',
  'liner',
  'lash',
  'lip',
];

test.each<[Role, Tool, Texture, string | undefined]>([
  ['blush', 'finger', 'pressed', 'loose brush, sweep'],
  ['bronze', 'finger', 'loose', 'loose brush, sweep'],
  ['contour', 'finger', 'pressed', 'loose brush, sweep'],
  ['highlight', 'finger', 'pressed', undefined],
  ['eye', 'finger', 'loose', undefined],
  ['powder', 'finger', 'loose', 'puff, press'],
  ['blush', 'damp sponge', 'pressed', 'loose brush, sweep'],
  ['highlight', 'damp sponge', 'loose', 'loose brush, sweep'],
  ['powder', 'damp sponge', 'loose', undefined],
  ['base', 'damp sponge', 'pressed', 'puff, press'],
  ['base', 'damp sponge', 'loose', 'puff, press'],
  ['base', 'finger', 'pressed', 'puff, press'],
  ['base', 'dense brush', 'pressed', undefined],
  ['base', 'loose brush', 'loose', undefined],
  ['base', 'damp sponge', 'cream', undefined],
  ['blush', 'dense brush', 'pressed', undefined],
  ['powder', 'puff', 'pressed', undefined],
  ['blush', 'puff', 'cream', 'dense brush, stipple'],
  ['base', 'puff', 'liquid', 'damp sponge, press'],
  ['conceal', 'fan brush', 'cream', 'damp sponge, press'],
  ['highlight', 'fan brush', 'stick', 'finger, press'],
  ['highlight', 'fan brush', 'pressed', undefined],
  ['care', 'puff', 'liquid', undefined],
  ['lip', 'finger', 'cream', undefined],
])('%s with %s, %s: %s', (role, tool, texture, expected) => {
  expect(instead(role, tool, texture)).toBe(expected);
});

test('a loose brush drags a cream, but where the look means it or lays it sheer', () => {
  expect(instead('blush', 'loose brush', 'cream', { technique: 'sweep' })).toBe('dense brush, stipple');
  expect(instead('blush', 'loose brush', 'cream', { technique: 'buff' })).toBeUndefined();
  expect(instead('blush', 'loose brush', 'cream', { textures: ['pressed', 'loose'] })).toBe(
    'dense brush, stipple',
  );
  expect(
    instead('blush', 'loose brush', 'cream', { technique: 'sweep', textures: ['cream', 'stick'] }),
  ).toBeUndefined();
  expect(instead('blush', 'loose brush', 'liquid', { technique: 'sweep' })).toBeUndefined();
  expect(instead('base', 'loose brush', 'cream', { technique: 'sweep' })).toBeUndefined();
  expect(instead('blush', 'loose brush', 'pressed', { technique: 'sweep' })).toBeUndefined();
});

test('what is taken instead suits, for every role, tool, texture and technique', () => {
  let found = 0;
  for (const role of ROLES)
    for (const tool of TOOLS)
      for (const texture of TEXTURES)
        for (const technique of TECHNIQUES) {
          const step = worked(role, tool, texture, { technique });
          const other = toolInstead(step, ANYBODY);
          if (!other) continue;
          found += 1;
          expect(other.tool).not.toBe(tool);
          expect(toolInstead({ ...step, ...other }, ANYBODY)).toBeNull();
          const sparing = toolInstead(step, { sensitivities: ['latex'] })!;
          expect(['puff', 'damp sponge']).not.toContain(sparing.tool);
          expect(toolInstead({ ...step, ...sparing }, { sensitivities: ['latex'] })).toBeNull();
        }
  expect(found).toBeGreaterThan(100);
});

test('of a mix what most of it is decides; without a product there is nothing to say', () => {
  const cream = worked('blush', 'finger', 'cream');
  const powder = worked('blush', 'finger', 'pressed');
  const mixed = (creams: number): Parameters<typeof toolInstead>[0] => ({
    ...cream,
    use: [{ ...cream.use[0]!, parts: creams }, powder.use[0]!],
  });
  expect(toolInstead(mixed(2), ANYBODY)).toBeNull();
  expect(toolInstead(mixed(0.5), ANYBODY)?.tool).toBe('loose brush');
  expect(toolInstead({ ...cream, use: [] }, ANYBODY)).toBeNull();
});

describe('a fit', () => {
  const flush: LookStep = {
    ...LOOK.steps[0]!,
    id: id(210),
    phase: 'sculpt',
    role: 'blush',
    title: 'Flush',
    shade: { lab: [60, 26, 14] },
    wants: { kinds: ['blush'] },
    placements: [{ guide: 'blushFull', side: 'both' }],
    tool: 'finger',
    technique: 'press',
  };
  const look: Look = { ...LOOK, steps: [...LOOK.steps, flush] };
  const blush = (texture: Texture): Product => product(61, 'blush', [60, 26, 14], { texture });
  const fit = (texture: Texture, refused: readonly string[] = []) => {
    const { chart, notes } = fitLook(
      look,
      client(),
      kitOf(...KIT.products, blush(texture)),
      OCCASION,
      STAMP,
      { refused },
    );
    const step = chart.steps.find(({ title }) => title === 'Flush')!;
    return { chart, notes, step, made: (chart.adaptations ?? []).filter((a) => a.id === TOOL_FOR_TEXTURE) };
  };

  test('takes what suits the powder the kit has, says why, and can be told not to', () => {
    const { chart, step, notes, made } = fit('pressed');
    expect([step.tool, step.technique]).toEqual(['loose brush', 'sweep']);
    expect(notes).toContain('Flush with a loose brush: pressed powder: a finger makes a stain of it.');
    expect(made).toHaveLength(1);
    const back = refuseAdaptation(chart, made[0]!).steps.find(({ title }) => title === 'Flush')!;
    expect([back.tool, back.technique]).toEqual(['finger', 'press']);
    expect(fit('pressed', [TOOL_FOR_TEXTURE]).step.tool).toBe('finger');
  });

  test('leaves a finger to a cream', () => {
    const { step, made } = fit('cream');
    expect([step.tool, made]).toEqual(['finger', []]);
  });

  test('says what is of another texture or finish than was asked, in one sentence', () => {
    const asking = (wants: Partial<LookStep['wants']>, texture: Texture): readonly string[] =>
      fitLook(
        { ...look, steps: [{ ...flush, wants: { ...flush.wants, ...wants } }] },
        client(),
        kitOf(...KIT.products, blush(texture)),
        OCCASION,
        STAMP,
      ).notes.filter((note) => note.includes('otherwise than asked'));
    expect(asking({ textures: ['cream'] }, 'pressed')).toEqual([
      'The nearest of the kit is otherwise than asked: flush (pressed, not cream).',
    ]);
    expect(asking({ textures: ['cream'] }, 'cream')).toEqual([]);
    expect(asking({}, 'pressed')).toEqual([]);
    expect(asking({ finishes: ['shimmer'], textures: ['pressed'] }, 'pressed')).toEqual([
      'The nearest of the kit is otherwise than asked: flush (natural, not shimmer).',
    ]);
  });

  test('sprays nothing but what is liquid', () => {
    const sprayed: Look = {
      ...LOOK,
      steps: LOOK.steps.map((s) => (s.role === 'base' ? { ...s, tool: 'airbrush' as const } : s)),
    };
    const textured = (texture: Texture) =>
      kitOf(...KIT.products.map((p) => (p.kind === 'base' ? { ...p, texture } : p)));
    const baseOf = (texture: Texture): { readonly use: Step['use']; readonly notes: readonly string[] } => {
      const { chart, notes } = fitLook(sprayed, client(), textured(texture), OCCASION, STAMP);
      return { use: chart.steps.find(({ role }) => role === 'base')!.use, notes };
    };
    expect(baseOf('liquid').use.length).toBeGreaterThan(0);
    for (const texture of TEXTURES.filter((one) => one !== 'liquid')) {
      const { use, notes } = baseOf(texture);
      expect(use).toEqual([]);
      expect(notes.join(' ')).toMatch(/an airbrush sprays what is liquid.*Buy a liquid base/);
    }
  });
});
