import type { Features } from '../../face';
import { client, OCCASION } from '../look.testing';
import type { LookStep } from '../document';
import { adaptLook } from './adaptLook';
import { at, FULL, step } from './adapt.testing';

const adapted = (features: Partial<Features>, steps: LookStep[]) =>
  adaptLook({ ...FULL, steps }, client(undefined, { features }), OCCASION);

describe('two primers of the skin', () => {
  const primer = (
    n: number,
    title: string,
    finishes: LookStep['wants']['finishes'],
    where: 'zone.apple' | 'zone.noseSide',
  ) =>
    step(n, {
      phase: 'prime',
      role: 'care',
      title,
      wants: { kinds: ['primer'], ...(finishes ? { finishes } : {}) },
      placements: at(where),
    });
  const matte = primer(320, 'Matte', ['matte'], 'zone.noseSide');
  const dewy = primer(321, 'Dewy', ['dewy'], 'zone.apple');
  const rest = FULL.steps.filter(({ wants }) => !wants.kinds.includes('primer'));
  const told = (features: Partial<Features>, ...primers: LookStep[]) =>
    adapted(features, [...primers, ...rest])
      .steps.filter(({ wants }) => wants.kinds.includes('primer'))
      .map(({ title, placements, wants }) => [
        title,
        placements.map((p) => ('guide' in p ? p.guide.replace('zone.', '') : '')).join(' '),
        wants.finishes?.join(' ') ?? '',
      ]);

  test.each([
    [
      'the mattifier goes where it is oily, the other stays',
      { oily: ['forehead'] },
      [
        ['Matte', 'foreheadCentre', 'matte'],
        ['Dewy', 'apple', 'dewy'],
      ],
    ],
    [
      'the other goes over dry skin, the mattifier is left out',
      { dry: true },
      [['Dewy', 'wholeFace', 'dewy natural']],
    ],
    [
      'dry patches are the other’s, the mattifier stays',
      { dryZones: ['chin'] },
      [
        ['Matte', 'noseSide', 'matte'],
        ['Dewy', 'chin', 'dewy natural'],
      ],
    ],
    [
      'oily and dry: each what it is',
      { oily: ['chin'], dry: true },
      [
        ['Matte', 'chin', 'matte'],
        ['Dewy', 'apple', 'dewy'],
      ],
    ],
    [
      'neither: both as they are',
      {},
      [
        ['Matte', 'noseSide', 'matte'],
        ['Dewy', 'apple', 'dewy'],
      ],
    ],
  ] as const)('%s', (_, features, expected) => {
    const noted = features as Partial<Features>;
    expect(told(noted, matte, dewy)).toEqual(expected);
    expect(told(noted, dewy, matte)).toEqual([...expected].reverse());
  });

  test('where neither says what it is, the first is made what is asked; one alone is', () => {
    const first = primer(322, 'First', undefined, 'zone.apple');
    const second = primer(323, 'Second', undefined, 'zone.noseSide');
    expect(told({ oily: ['chin'] }, first, second)).toEqual([
      ['First', 'chin', 'matte'],
      ['Second', 'noseSide', ''],
    ]);
    expect(told({ dry: true }, matte)).toEqual([['Matte', 'wholeFace', 'dewy natural']]);
    expect(told({ oily: ['chin'] }, dewy)).toEqual([['Dewy', 'chin', 'matte']]);
  });
});
