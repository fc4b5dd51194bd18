import fc from 'fast-check';
import { Value } from '@sinclair/typebox/value';
import { DRY_ZONES, PLAIN_FEATURES, OILY_ZONES } from '../face';
import {
  ACCESS_NEEDS,
  answerInWords,
  CONSULT_QUESTIONS,
  ConsultSchema,
  PHOTO_CONSENTS,
  MOST_SENSITIVITIES,
  takenOver,
  withoutConsent,
  type Consult,
  type Consulted,
} from '.';

const NOBODY: Consulted = {
  features: PLAIN_FEATURES,
  sensitivities: ['latex'],
  guardianConsent: '',
  consult: {},
};
const maybe = <T>(arb: fc.Arbitrary<T>) => fc.option(arb, { nil: undefined });
const line = fc.stringMatching(/^[a-zé ,.]{1,40}$/);
const ANSWERS: fc.Arbitrary<Consult> = fc
  .record({
    usual: maybe(line),
    disliked: maybe(line),
    wished: maybe(line),
    hours: maybe(fc.integer({ min: 1, max: 24 })),
    oily: maybe(fc.subarray([...OILY_ZONES])),
    dry: maybe(fc.boolean()),
    dryZones: maybe(fc.subarray([...DRY_ZONES])),
    lenses: maybe(fc.boolean()),
    access: maybe(fc.subarray([...ACCESS_NEEDS])),
    guardian: maybe(line),
    photos: maybe(fc.constantFrom(...PHOTO_CONSENTS)),
    keepHealth: maybe(fc.boolean()),
    sensitivities: maybe(fc.subarray(['Latex', 'nickel', 'a perfume'])),
    conditions: maybe(line),
    treatments: maybe(line),
  })
  .map((all) => JSON.parse(JSON.stringify(all)) as Consult);

test('every answer has a question and every question an answer, each asked once', () => {
  const asked = CONSULT_QUESTIONS.map((q) => q.key);
  expect([...asked].sort()).toEqual(Object.keys(ConsultSchema.properties).sort());
  // Nobody is asked about health before it was said whether it may be kept.
  expect(asked.indexOf('keepHealth')).toBeLessThan(CONSULT_QUESTIONS.findIndex((q) => q.health));
});

test('only the answer that is taken over changes anything, and taken twice it changes nothing more', () => {
  fc.assert(
    fc.property(ANSWERS, fc.constantFrom(...CONSULT_QUESTIONS.map((q) => q.key)), (answers, key) => {
      expect(Value.Check(ConsultSchema, answers)).toBe(true);
      const once = takenOver(NOBODY, answers, key);
      if (answers[key] === undefined) expect(once).toBe(NOBODY);
      expect(takenOver(once, answers, key)).toEqual(once);
      const { [key]: only } = answers;
      expect(takenOver(NOBODY, { [key]: only } as Consult, key)).toEqual(once);
      // What was noted before is never lost by an answer.
      expect(once.sensitivities).toEqual(expect.arrayContaining([...NOBODY.sensitivities]));
      expect(Value.Check(ConsultSchema, once.consult)).toBe(true);
    }),
  );
});

test.each([
  ['lenses', { lenses: true }, (c: Consulted) => c.features.lenses],
  ['dry', { dry: true }, (c: Consulted) => c.features.dry],
  ['oily', { oily: ['nose' as const] }, (c: Consulted) => c.features.oily[0] === 'nose'],
  ['dryZones', { dryZones: ['chin' as const] }, (c: Consulted) => c.features.dryZones?.join() === 'chin'],
  ['access', { access: ['tremor' as const] }, (c: Consulted) => c.features.headTremor],
  ['access', { access: ['cannot recline' as const] }, (c: Consulted) => c.features.cannotRecline === true],
  ['guardian', { guardian: 'Ida Quist, 555' }, (c: Consulted) => c.guardianConsent === 'Ida Quist, 555'],
  [
    'sensitivities',
    { sensitivities: ['nickel'] },
    (c: Consulted) => c.sensitivities.join() === 'latex,nickel',
  ],
  ['wished', { wished: 'a soft eye' }, (c: Consulted) => c.consult.wished === 'a soft eye'],
] as const)('%s is taken over to where it is computed with', (key, answers, holds) => {
  expect(holds(NOBODY)).toBe(false);
  expect(holds(takenOver(NOBODY, answers as Consult, key))).toBe(true);
});

test('an answer never takes back a tremor or a sensitivity a hand noted', () => {
  const noted = { ...NOBODY, features: { ...PLAIN_FEATURES, headTremor: true } };
  expect(takenOver(noted, { access: [] }, 'access').features.headTremor).toBe(true);
  expect(takenOver(noted, { sensitivities: [] }, 'sensitivities').sensitivities).toEqual(['latex']);
  expect(takenOver(noted, { sensitivities: ['LATEX'] }, 'sensitivities').sensitivities).toEqual(['latex']);
});

test('however many were noted, none is cut off', () => {
  const many = Array.from({ length: MOST_SENSITIVITIES }, (_, i) => `thing ${i}`);
  const full = takenOver(
    { ...NOBODY, sensitivities: many },
    { sensitivities: ['nickel', 'Thing 3'] },
    'sensitivities',
  );
  expect(full.sensitivities).toEqual([...many, 'nickel']);
});

test('words on health need the consent, and go when it goes', () => {
  const health: Consult = { sensitivities: ['nickel'], conditions: 'dry lids', treatments: 'a peel' };
  expect(withoutConsent(health)).toEqual(['sensitivities', 'conditions', 'treatments']);
  expect(withoutConsent({ ...health, keepHealth: false })).toHaveLength(3);
  expect(withoutConsent({ ...health, keepHealth: true })).toEqual([]);
  expect(withoutConsent({ usual: 'mascara' })).toEqual([]);
  const kept = takenOver(NOBODY, { ...health, keepHealth: true }, 'conditions');
  expect(kept.consult.conditions).toBe('dry lids');
  const gone = takenOver(kept, { keepHealth: false }, 'keepHealth');
  expect(gone.consult).toEqual({ keepHealth: false });
});

test('answers are read in words', () => {
  const answers: Consult = {
    hours: 1,
    dry: false,
    oily: [],
    access: ['breaks', 'quiet room'],
    usual: 'mascara',
  };
  expect(
    (['hours', 'dry', 'oily', 'access', 'usual', 'lenses'] as const).map((key) =>
      answerInWords(answers, key),
    ),
  ).toEqual(['1 hour', 'no', 'none', 'breaks, quiet room', 'mascara', '']);
});
