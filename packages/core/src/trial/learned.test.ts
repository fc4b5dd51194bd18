import { Value } from '@sinclair/typebox/value';
import {
  learnedProposals,
  LearnedAnswerSchema,
  refusedOf,
  silenced,
  wornByZone,
  type LearnedAnswer,
  type LearnedFrom,
  type StudioDecision,
  type TrialChoice,
  type WearGroup,
} from '.';
import { after, CHART, trialOf } from './halfTrial.testing';
import { SKIN_GROUPS } from './skinGroup';
import { settingWords, WEAR_CLIMATES, wearSettingOf } from './wearSetting';
import { inAnotherLanguage } from '../messages/messages.testing';

const NOW = wornByZone(CHART).nose!;
const OFFER = 'Ordway Hours';
const HOURS = CHART.occasion.hoursToLast;
const wears = (worn: string, failed: number, held: number, more: Partial<WearGroup> = {}): WearGroup[] =>
  [
    { good: 1, bad: HOURS - 1, count: failed },
    { good: HOURS + 2, bad: null, count: held },
  ]
    .filter(({ count }) => count > 0)
    .map((one) => ({
      zone: 'nose' as const,
      worn,
      own: false,
      skin: null,
      climate: null,
      ...one,
      weight: one.count,
      ...more,
    }));
const from = (groups: readonly WearGroup[], more: Partial<LearnedFrom> = {}): LearnedFrom => ({
  wears: groups,
  lines: new Set([NOW, OFFER]),
  decisions: [],
  answers: [],
  habits: [],
  ...more,
});
const keyed = (groups: readonly WearGroup[], more: Partial<LearnedFrom> = {}) =>
  learnedProposals(CHART, from(groups, more));
let n = 0;
const answer = (
  kind: LearnedAnswer['answer'],
  key: string,
  more: Partial<LearnedAnswer> = {},
): LearnedAnswer => ({
  id: `0190a000-0000-7000-8000-${String(n++).padStart(12, '0')}`,
  key,
  answer: kind,
  words: 'x',
  failed: 6,
  worn: 7,
  strength: 'strong',
  at: after(n),
  by: 'Ada',
  ...more,
});
const BAD = [...wears(NOW, 6, 1), ...wears(OFFER, 1, 8)];

test('of several bases the one that lies at the place is spoken of, and exchanged', () => {
  const [base] = CHART.steps;
  const neck = {
    ...base!,
    id: `0190a000-0000-7000-8000-${'9'.padStart(12, '0')}`,
    placements: [{ guide: 'zone.neck' as const, side: 'both' as const }],
    use: [{ ...base!.use[0]!, product: { ...base!.use[0]!.product, line: 'Body' } }],
  };
  const both = { ...CHART, steps: [base!, neck, ...CHART.steps.slice(1)] };
  const [one, ...rest] = learnedProposals(both, from(BAD));
  expect(rest).toEqual([]);
  expect(one).toMatchObject({ stepId: base!.id, now: NOW });
  const ofNeck = BAD.map((group) => ({
    ...group,
    zone: 'neck' as const,
    worn: group.worn === NOW ? 'Ordway Body' : group.worn,
  }));
  const [told] = learnedProposals(both, { ...from(ofNeck), lines: new Set(['Ordway Body', OFFER]) });
  expect(told).toMatchObject({ stepId: neck.id, now: 'Ordway Body' });
});

test('what failed often is offered what surely fails less, with counts and what speaks against it', () => {
  const [one, ...rest] = keyed(BAD);
  expect(rest).toEqual([]);
  expect(one).toMatchObject({ now: NOW, offer: OFFER, failed: 6, worn: 7, strength: 'strong' });
  expect(one!.says).toBe(
    `${NOW} did not hold ${HOURS} h on 6 of 7 looked-at wears (nose); ${OFFER} failed on 1 of 9. That is strong.`,
  );
  expect(one!.against).toBe('Against it: it held on 1 of them.');
  expect(one!.says + one!.against).not.toContain('%');
});

test.each([
  ['two failures are no law', [...wears(NOW, 2, 0), ...wears(OFFER, 0, 9)]],
  ['nothing was looked at', []],
  ['the other fails as often', [...wears(NOW, 5, 2), ...wears(OFFER, 5, 2)]],
  ['it holds', [...wears(NOW, 0, 9), ...wears(OFFER, 0, 9)]],
  ['the other was never looked at', wears(NOW, 6, 1)],
  ['the other was watched for too short a time', [...wears(NOW, 6, 1), ...wears(OFFER, 0, 9, { good: 1 })]],
  ['a lip says nothing of a nose', [...wears(NOW, 6, 1), ...wears(OFFER, 0, 9, { zone: 'mouth' })]],
])('silent where %s', (_, groups) => expect(keyed(groups)).toEqual([]));

test('what was refused in one language is refused in every one', () => {
  const { skin, climate } = wearSettingOf(CHART);
  const setting = { skin: skin.nose!, climate };
  const groups = [...wears(NOW, 6, 1, setting), ...wears(OFFER, 1, 8, setting)];
  const offered = learnedProposals(CHART, from(groups));
  expect(offered.map(({ key }) => key)).toHaveLength(1);
  expect(offered[0]!.key).toContain(settingWords(setting));
  const asked = (more: Partial<LearnedFrom>) =>
    inAnotherLanguage(() => learnedProposals(CHART, from(groups, more)).map(({ key }) => key));
  expect(asked({})).toEqual([offered[0]!.key]);
  expect(asked({ answers: [answer('never', offered[0]!.key)] })).toEqual([]);
});

test('silent where the kit has not the other', () =>
  expect(keyed(BAD, { lines: new Set([NOW]) })).toEqual([]));

test('several places ask for one line once, by the surest; never more than three', () => {
  const zones = ['nose', 'forehead', 'chin', 'cheek'] as const;
  const all = zones.flatMap((zone) => [...wears(NOW, 6, 1, { zone }), ...wears(OFFER, 1, 8, { zone })]);
  expect(keyed(all)).toHaveLength(1);
  const offers = [1, 2, 3, 4, 5].map((i) => `Ordway Hours ${i}`);
  const many = [...wears(NOW, 9, 1), ...offers.flatMap((offer) => wears(offer, 0, 12))];
  expect(keyed(many, { lines: new Set(offers) })).toHaveLength(3);
});

test('refused, it is silent until there is twice the news each time; for good, for good; and may be let speak again', () => {
  const { key } = keyed(BAD)[0]!;
  const once = answer('not now', key, { failed: 6 });
  expect(keyed(BAD, { answers: [once] })).toEqual([]);
  const news = (failed: number) => [...wears(NOW, failed, 1), ...wears(OFFER, 1, 8)];
  expect(keyed(news(7), { answers: [once] })).toEqual([]);
  expect(keyed(news(8), { answers: [once] })).toHaveLength(1);
  const twice = [once, answer('not now', key, { failed: 8 })];
  expect(keyed(news(11), { answers: twice })).toEqual([]);
  expect(keyed(news(12), { answers: twice })).toHaveLength(1);
  const never = [...twice, answer('never', key, { failed: 8 })];
  expect(keyed(news(90), { answers: never })).toEqual([]);
  expect(silenced(never).map((one) => one.key)).toEqual([key]);
  const again = [...never, answer('again', key)];
  expect(keyed(BAD, { answers: again })).toHaveLength(1);
  expect(silenced(again)).toEqual([]);
  expect(refusedOf(key, again)).toBeNull();
  [...again].forEach((one) => expect(Value.Check(LearnedAnswerSchema, one)).toBe(true));
});

describe('on such skin and such days', () => {
  const { skin, climate } = wearSettingOf(CHART);
  const HERE = { skin: skin.nose!, climate };
  const otherSkin = SKIN_GROUPS.find((one) => one !== HERE.skin)!;
  const otherAir = WEAR_CLIMATES.find((one) => one !== HERE.climate)!;
  const NARROW = settingWords(HERE);
  const SKIN = settingWords({ ...HERE, climate: null });
  const bad = (failed: number, held: number, more: Partial<WearGroup>) => [
    ...wears(NOW, failed, held, more),
    ...wears(OFFER, 1, 8, more),
  ];

  test.each([
    ['enough here', [...bad(3, 0, HERE), ...bad(5, 0, { skin: otherSkin })], NARROW, '3 of 3'],
    [
      'two here, one more on such skin',
      [...bad(2, 0, HERE), ...bad(1, 0, { ...HERE, climate: otherAir })],
      SKIN,
      '3 of 3',
    ],
    [
      'two on such skin, others elsewhere',
      [...bad(2, 0, HERE), ...bad(4, 1, { skin: otherSkin })],
      '',
      '6 of 7',
    ],
    ['nobody knows of any', bad(6, 1, {}), '', '6 of 7'],
  ] as const)('it speaks of the narrowest that was looked at often enough: %s', (_, groups, told, counts) => {
    const [one] = keyed(groups);
    expect(one!.says).toContain(`on ${counts} looked-at wears (nose${told === '' ? '' : `, ${told}`})`);
    expect(one!.key).toBe([`nose | ${NOW} | ${OFFER}`, ...(told === '' ? [] : [told])].join(' | '));
  });

  test('another that nobody looked at here is told by where it was, if what stands fails here too', () => {
    const here = wears(NOW, 3, 1, HERE);
    const elsewhere = [...wears(NOW, 4, 1, { skin: otherSkin }), ...wears(OFFER, 0, 9, { skin: otherSkin })];
    const [one] = keyed([...here, ...elsewhere]);
    expect(one!.says).toContain('on 7 of 9 looked-at wears (nose); ');
    expect(one!.says).toContain('failed on 0 of 9.');
    // Holding here it is left alone, whatever it does elsewhere.
    expect(keyed([...wears(NOW, 0, 5, HERE), ...elsewhere])).toEqual([]);
  });

  test('what holds on such skin is not changed for what it does on other', () => {
    const elsewhere = bad(9, 0, { skin: otherSkin, climate: HERE.climate });
    expect(keyed(elsewhere)).toHaveLength(1);
    expect(keyed([...elsewhere, ...wears(NOW, 0, 9, HERE), ...wears(OFFER, 0, 9, HERE)])).toEqual([]);
  });

  test('refused more widely it is not offered again because the setting has become narrower', () => {
    const wide = bad(6, 1, {});
    const never = answer('never', keyed(wide)[0]!.key);
    const narrow = [...wide, ...bad(4, 0, HERE)];
    expect(keyed(narrow)).toHaveLength(1);
    expect(keyed(narrow, { answers: [never] })).toEqual([]);
    // Not now, more widely: news is counted where it was refused, so that a narrower setting waits for no
    // more than that.
    const once = (failed: number): LearnedAnswer => answer('not now', keyed(wide)[0]!.key, { failed });
    const wideFailed = 6 + 4;
    expect(keyed(narrow, { answers: [once(wideFailed - 1)] })).toEqual([]);
    expect(keyed(narrow, { answers: [once(wideFailed - 2)] })).toHaveLength(1);
    // Refused in one setting it may still speak in another.
    const here = answer('never', keyed(narrow)[0]!.key);
    expect(keyed(wide, { answers: [here] })).toHaveLength(1);
  });
});

describe('what was decided for more than one client', () => {
  const { question } = trialOf('left');
  const lines = new Set([question.a.words, question.b.words]);
  const decision = (choice: TrialChoice, more: Partial<StudioDecision['decided']> = {}): StudioDecision => ({
    question,
    decided: {
      id: 'first',
      at: after(0),
      by: 'Mara Oduya',
      kind: 'decided',
      choice,
      scope: 'studio',
      follows: true,
      reason: 'cheaper',
      neck: 'yes',
      camera: 'yes',
      ...more,
    },
    skin: 'oily',
    zones: ['nose'],
  });
  const said = (one: StudioDecision, more: Partial<LearnedFrom> = {}) =>
    keyed([], { lines, decisions: [one], ...more });

  test('it speaks where a chart still has the other, and says how it was decided', () => {
    const ways = CHART.steps[0]!.use.map(({ product }) => `${product.maker} ${product.line}`);
    expect(ways).toContain(question.a.words);
    const [one] = said(decision('b', { follows: false }));
    expect(one).toMatchObject({ now: question.a.words, offer: question.b.words, strength: 'strong' });
    expect(one!.says).toBe(
      `${question.text} Decided by Mara Oduya for everybody: ${question.b.words}, cheaper.`,
    );
    expect(one!.against).toBe('It goes against what the trials counted.');
    for (const choice of ['a', 'either', 'more'] as const) expect(said(decision(choice))).toEqual([]);
    expect(said(decision('b', { scope: 'client' }))).toEqual([]);
  });

  test.each([
    [['nose'], false, true],
    [['nose'], true, false],
    [['chin'], false, false],
    [[], false, false],
  ] as const)('for oily noses it speaks of skin that shines at %j, dry %j: %j', (oily, dry, speaks) => {
    const features = { ...CHART.client.features, oily: [...oily], dry };
    const chart = { ...CHART, client: { ...CHART.client, features } };
    const one = decision('b', { scope: 'skinType' });
    const proposals = learnedProposals(chart, from([], { lines, decisions: [one] }));
    expect(proposals.map(({ says }) => says.includes('for oily skin'))).toEqual(speaks ? [true] : []);
  });

  test('refused it is silent, until it is decided anew', () => {
    const [one] = said(decision('b'));
    const answers = [answer('not now', one!.key, { failed: 0, worn: 0 })];
    expect(said(decision('b'), { answers })).toEqual([]);
    expect(said(decision('b', { id: 'second' }), { answers })).toHaveLength(1);
  });
});
