import {
  fitLook,
  isWet,
  lessonFrom,
  reviewChart,
  toolsAskedOf,
  type Chart,
  type Features,
  type Kit,
  type Lesson,
  type Occasion,
  type Step,
  type Tool,
} from '@toile/core';
import { clientOf, DAY, KITS, SKIN_NAMES } from './corpus/ground';
import { idFor } from './ids';
import { LOOKS } from './looks';
import { STARTER_LOOKS } from './starterLooks';

const STAMP = { id: idFor('lesson sweep'), author: '', at: '2031-05-01T09:00:00Z', reason: '' };
/** A day as the client has it: by the window, a few hours, no camera. */
const AT_HOME: Occasion = { kind: 'other', date: DAY, lights: ['daylight'], hoursToLast: 4, camera: false };
const FACES: readonly Partial<Features>[] = [
  {},
  { lids: { left: 'hooded', right: 'partly hooded' } },
  { age: 'mature', lids: { left: 'hooded', right: 'hooded' } },
];
const MINUTES = [1, 2, 4, 6, 8, 10, 14, 20, 30, 60];

type Found = ReturnType<typeof reviewChart>;
type Taught = {
  readonly says: string;
  readonly chart: Chart;
  readonly minutes: number;
  readonly lesson: Lesson;
};
const SKINS = SKIN_NAMES.filter((_, i) => i % 3 === 0);
/** Every look, each on another skin and face than the look before it. */
const lessonsWith = (kit: Kit): Taught[] =>
  [...LOOKS, ...STARTER_LOOKS].flatMap((look, i) => {
    const skin = SKINS[i % SKINS.length]!;
    const features = FACES[i % FACES.length]!;
    const { chart } = fitLook(look, clientOf({ skin, features }), kit, AT_HOME, STAMP);
    return MINUTES.map((minutes) => ({
      says: `${look.name} on ${skin} in ${minutes} min`,
      chart,
      minutes,
      lesson: lessonFrom(chart, { minutes }),
    }));
  });
const taught = ({ chart, lesson }: Taught): Step[] =>
  lesson.steps.map(({ stepId }) => chart.steps.find(({ id }) => id === stepId)!);
const saidOf = ({ chart, lesson }: Taught, ids: readonly string[]): boolean =>
  chart.steps.some(
    ({ id, title }) => ids.includes(id) && lesson.alone.some((says) => says.startsWith(title)),
  );
/** Rules of how layers lie and stand by each other: what leaving steps out can break. */
const OF_LAYERS: readonly string[] = [
  'cream-over-powder',
  'wet-on-wet',
  'set-too-late',
  'family-conflict',
  'corrector-uncovered',
  'lip-line-first',
];

describe.each(['demo', 'tiny', 'one maker', 'messy'] as const)('every look on many skins, %s kit', (name) => {
  const kit = KITS[name];
  const all = lessonsWith(kit);

  test('fewer steps raise nothing about layers that the whole did not, or it is said to whoever teaches', () => {
    const reviewed = new Map<string, Found>();
    const reviewOf = (chart: Chart, steps: readonly Step[]): Found => {
      const key = [chart.id, chart.look.name, chart.client.id, ...steps.map(({ id }) => id)].join(' ');
      const known = reviewed.get(key) ?? reviewChart({ ...chart, steps: [...steps] }, kit);
      reviewed.set(key, known);
      return known;
    };
    const wrong = all.flatMap((one) => {
      const before = new Set(reviewOf(one.chart, one.chart.steps).map(({ rule }) => rule));
      return reviewOf(one.chart, taught(one)).flatMap(({ rule, message, stepIds }) =>
        OF_LAYERS.includes(rule) && !before.has(rule) && !saidOf(one, stepIds)
          ? [`${one.says}: ${message}`]
          : [],
      );
    });
    expect(wrong).toEqual([]);
  });

  test('no corrector bare, no powder on nothing, no rim without a lip, nothing without a product', () => {
    const wrong = all.flatMap((one) => {
      const steps = taught(one);
      const has = (...roles: readonly Step['role'][]): boolean =>
        steps.some(({ role }) => roles.includes(role));
      const wet = steps.some(
        ({ role, use }) => ['base', 'conceal'].includes(role) && use.some((u) => isWet(u.product)),
      );
      const wetInPlan = one.chart.steps.some(
        ({ role, use }) => ['base', 'conceal'].includes(role) && use.some((u) => isWet(u.product)),
      );
      const gap = one.chart.steps.some(({ role, use }) => role === 'powder' && use.length === 0);
      const bad = [
        has('correct') && !has('base', 'conceal') ? 'a corrector is bare' : null,
        has('powder') && wetInPlan && !wet && !has('base') ? 'powder on nothing' : null,
        has('lip line') && !has('lip') ? 'a rim' : null,
        steps.some(({ use, wants }) => use.length === 0 && wants.kinds.length > 0) ? 'no product' : null,
        one.lesson.alone.length > 0 && !gap ? one.lesson.alone.join(' ') : null,
      ];
      return bad.flatMap((says) => (says ? [`${one.says}: ${says}`] : []));
    });
    expect(wrong).toEqual([]);
  });

  test('half an hour is a whole face; fourteen minutes are three things a face is seen by', () => {
    const FACE: readonly Step['role'][] = ['base', 'brow', 'blush', 'lash', 'lip'];
    const wrong = all.flatMap((one) => {
      const roles = new Set(taught(one).map(({ role }) => role));
      // In a hurry the skin is what is covered of it.
      if (one.minutes < 30 && roles.has('conceal')) roles.add('base');
      // Left for want of minutes alone: what nobody has at home, or the studio puts on, is left at any time.
      const stepOf = (id: string) => one.chart.steps.find((step) => step.id === id)!;
      const left = one.lesson.left.filter(({ why }) => why === 'For days with more time.');
      const missing = new Set(
        left
          .map(({ stepId }) => stepOf(stepId).role)
          .filter((role) => FACE.includes(role) && !roles.has(role)),
      );
      const most = one.minutes >= 30 ? 0 : one.minutes >= 14 ? 2 : FACE.length;
      return missing.size > most ? [`${one.says}: no ${[...missing].join(', ')}`] : [];
    });
    expect(wrong).toEqual([]);
  });

  test('it keeps within its minutes, names a place once, and its words are whole', () => {
    const wrong = all.flatMap((one) => {
      const { steps } = one.lesson;
      const hands = steps.reduce((sum, step) => sum + step.minutes, 0);
      const said = steps.flatMap(({ where, how, amount, title }) => [...where, how, amount ?? '', title]);
      const placed = steps.filter(
        ({ stepId, where }) =>
          where.length === 0 && one.chart.steps.find(({ id }) => id === stepId)!.placements.length > 0,
      );
      // A place is named once.
      const twice = steps.flatMap(({ where }) =>
        where.filter((place) => /\b(.{6,}), .*\b(over|across) the \1/i.test(place)),
      );
      return [
        ...twice.map((place) => `${one.says}: ${place}`),
        ...(steps.length > 1 && hands > one.minutes ? [`${one.says}: ${hands} min`] : []),
        ...said
          .filter((words) => /client|undefined|NaN|cm²|null/.test(words))
          .map((w) => `${one.says}: ${w}`),
        ...placed.map(({ title }) => `${one.says}: ${title} is nowhere`),
      ];
    });
    expect(wrong).toEqual([]);
  });
});

test('what is chosen by hand is taught, and what looks wrong alone is said to whoever chose', () => {
  const [one] = lessonsWith(KITS.demo).filter(({ chart }) =>
    chart.steps.some(({ role }) => role === 'powder'),
  );
  const powder = one!.chart.steps.find(({ role }) => role === 'powder')!;
  const { steps, alone } = lessonFrom(one!.chart, { minutes: 10, keep: [powder.id] });
  expect(steps.map(({ stepId }) => stepId)).toEqual([powder.id]);
  expect(alone).toEqual([`${powder.title} has nothing to go with: no base, no concealer.`]);
});

const WANTS = 'Nothing to do it with: it wants';
test('with any tools there are, nothing is done with another, each step stands, and what is left says why', () => {
  const wrong = lessonsWith(KITS.demo).flatMap(({ says, chart, minutes }) => {
    const asked = toolsAskedOf(chart.steps);
    const homes: readonly (readonly Tool[])[] = [
      [],
      ...asked.map((one) => asked.filter((tool) => tool !== one)),
    ];
    return homes.flatMap((tools) => {
      const { steps, left, alone } = lessonFrom(chart, { minutes, tools });
      const missing = asked.filter((tool) => !tools.includes(tool));
      const bad = [
        ...steps
          .filter(({ how }) => missing.some((tool) => how.includes(`With the ${tool}:`)))
          .map(({ how }) => how),
        ...steps.filter(({ how }) => /With a finger: (draw|short strokes)/.test(how)).map(({ how }) => how),
        // What is left for a tool names one that is missing.
        ...left
          .filter(({ why }) => why.startsWith(WANTS) && !missing.some((tool) => why.endsWith(` ${tool}.`)))
          .map(({ title, why }) => `${title}: ${why}`),
        // Cream that nothing at home can set is taught, and said to whoever teaches.
        ...alone.filter((says) => !says.includes('creases where no powder')),
      ];
      return bad.map((one) => `${says}, with ${tools.join(', ') || 'a finger'}: ${one}`);
    });
  });
  expect(wrong).toEqual([]);
  // Without any there is something that cannot be done, and with a finger something that can.
  const bare = lessonsWith(KITS.demo).map(({ chart }) => lessonFrom(chart, { minutes: 60, tools: [] }));
  expect(bare.some(({ left }) => left.some(({ why }) => why.startsWith(WANTS)))).toBe(true);
  expect(bare.every(({ steps }) => steps.length > 0)).toBe(true);
});
