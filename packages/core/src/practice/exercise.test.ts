import fc from 'fast-check';
import { daysBetween } from '../calendar';
import { deltaE2000 } from '../colour';
import {
  checkLimits,
  faceModel,
  inferLandmarks,
  measure,
  outlineOf,
  type Landmarks,
  type Point,
  type Polyline,
} from '../face';
import {
  corrected,
  dueFirst,
  exercise,
  judge,
  LEVELS,
  lineMiss,
  practiceNow,
  SKILLS,
  skillForGuide,
  weekSkill,
  type Attempt,
  type CorrectorExercise,
  type LineExercise,
  type PanExercise,
  type PracticeEvent,
  type StepsExercise,
} from '.';

const LINES = SKILLS.filter((one) => one.kind === 'line');
const SEEDS = [1, 2, 3, 4, 5, 6];
const lineOf = (skill: string, seed: number): LineExercise => {
  const made = exercise(skill, seed, 0);
  if (!made || made.kind !== 'line') throw new Error(`${skill} ${seed} is no line`);
  return made;
};
const every = LINES.flatMap((skill) => SEEDS.map((seed) => lineOf(skill.id, seed)));
const drawn = (line: Polyline, coarse = false) => ({
  kind: 'line' as const,
  drawn: line,
  coarse,
  mmPerPixel: null,
});
/** Moved in the half's own frame: out is away from the midline, down towards the chin. */
const moved = (task: LineExercise, out: number, down: number): Polyline => {
  const half = faceModel(task.model.landmarks, task.model.features)[task.side];
  return task.guide.line.map((p): Point => {
    const [x, y] = half.fromFace(p);
    return half.toFace([x + out, y + down]);
  });
};
const score = (task: LineExercise, line: Polyline): number => judge(task, drawn(line)).score;

test('the same seed is the same exercise, word for word; another is another', () => {
  for (const { id } of SKILLS) {
    const one = exercise(id, 7, 0);
    expect(exercise(id, 7, 0)).toEqual(one);
    expect(exercise(id, 8, 0)).not.toEqual(one);
  }
  for (const id of ['contour', 'pans-depth', 'corrector'])
    for (const level of LEVELS) expect(exercise(id, 9, level)).toEqual(exercise(id, 9, level));
  expect(exercise('juggling', 1, 0)).toBeNull();
});

test('each is on a face its guide breaks no limit of, of any depth of skin, the asked shape where one is asked', () => {
  for (const task of every) {
    const skill = LINES.find((one) => one.id === task.skill)!;
    expect(checkLimits(task.placement, task.model.landmarks, task.model.features, skill.role)).toEqual([]);
    expect(task.guide.widthMm).toBeGreaterThan(0.5);
    for (const [name, [from, to]] of Object.entries(skill.facts ?? {})) {
      const value = measure(name as 'faceLength', task.model.landmarks);
      expect(value).toBeGreaterThan(from - 2);
      expect(value).toBeLessThan(to + 2);
    }
  }
  const L = every.map((task) => task.model.skin.cheek[0]);
  expect(Math.max(...L) - Math.min(...L)).toBeGreaterThan(30);
  expect(new Set(every.map((task) => task.side)).size).toBe(2);
});

test.each([
  ['contour', 3, 3, 'the hollow'],
  ['contour', -3, -3, 'the cheekbone'],
  ['nose', 3, 0, 'the cheek'],
  ['nose', -3, 0, 'the ridge'],
  ['jaw', 3, 3, 'the neck'],
  ['jaw', -3, -3, 'the face'],
  ['hooded-crease', 0, 3, 'the lid'],
  ['hooded-crease', 0, -3, 'the brow'],
  ['lower-line', 0, 3, 'the cheek'],
  ['brow', 0, -3, 'the forehead'],
  ['brow', 0, 3, 'the eye'],
])(
  '%s moved by %d out and %d down is told towards %s, or by the limit it breaks',
  (skill, out, down, towards) => {
    for (const seed of SEEDS) {
      const task = lineOf(skill, seed);
      const { first } = judge(task, drawn(moved(task, out, down)));
      expect(first.includes(towards) || !/ mm towards /.test(first)).toBe(true);
      expect(first).not.toMatch(/\d+ ?(%|\/|of 100|points)/);
    }
    const said = SEEDS.map((seed) => {
      const task = lineOf(skill, seed);
      return judge(task, drawn(moved(task, out, down))).first;
    });
    expect(said.some((first) => first.includes(towards) || /passes the line/.test(first))).toBe(true);
  },
);

test('the higher the level, the further the line a hand is used to lies from the guide of this face', () => {
  const average = inferLandmarks({});
  const habit = (task: LineExercise): number => {
    const own = (landmarks: Landmarks): Polyline => {
      const half = faceModel(landmarks, task.model.features)[task.side];
      const [shape] = outlineOf(task.placement, landmarks, task.model.features);
      return shape!.line!.map(half.fromFace);
    };
    return lineMiss(own(average), own(task.model.landmarks)).meanMm;
  };
  for (const skill of ['contour', 'nose']) {
    const misses = LEVELS.map((level) => {
      const all = Array.from({ length: 15 }, (_, seed) => exercise(skill, seed, level) as LineExercise);
      return all.reduce((sum, task) => sum + habit(task), 0) / all.length;
    });
    expect([...misses].sort((a, b) => a - b)).toEqual(misses);
    // Not by a hair: the face at the top is plainly the harder one.
    expect(misses[2]).toBeGreaterThan(1.15 * misses[0]!);
  }
});

test('a stroke of one point is refused in words; drawn small it says so', () => {
  const task = lineOf('contour', 1);
  expect(() => judge(task, drawn(task.guide.line.slice(0, 1)))).toThrow(RangeError);
  expect(judge(task, { ...drawn(task.guide.line), mmPerPixel: 1 }).first).toMatch(/^Drawn too small/);
  expect(() => judge(task, { kind: 'choice', id: 'a' })).toThrow(RangeError);
});

test('the other side is matched on an even face by its mirror', () => {
  const task = lineOf('other-side', 2);
  expect(task.shown).toEqual({ guide: 'cheekContour', side: task.side === 'left' ? 'right' : 'left' });
  const [shape] = outlineOf(task.placement, task.model.landmarks, task.model.features);
  expect(score(task, shape!.line!)).toBeGreaterThan(99);
});

describe('pans, correctors, steps', () => {
  const pans = (skill: string, seed: number, level: 0 | 1 | 2) => exercise(skill, seed, level) as PanExercise;
  test.each(['pans-depth', 'pans-undertone'])(
    '%s: there is one best order, and the other way round is worst',
    (skill) => {
      for (const seed of SEEDS)
        for (const level of LEVELS) {
          const task = pans(skill, seed, level);
          const ids = task.pans.map(({ id }) => id);
          let best = { score: -1, ids };
          for (const order of permutations(ids)) {
            const { score: s } = judge(task, { kind: 'order', ids: order });
            if (s > best.score) best = { score: s, ids: order };
          }
          expect(best.score).toBeCloseTo(100, 6);
          expect(judge(task, { kind: 'order', ids: [...best.ids].reverse() }).score).toBeLessThan(5);
          expect(judge(task, { kind: 'order', ids: [...best.ids].reverse() }).first).toMatch(
            /^[A-E] stands before [A-E] and is (deeper|warmer) by/,
          );
        }
    },
  );
  test('a level further the pans lie closer', () => {
    const spread = (level: 0 | 1 | 2): number => {
      const labs = pans('pans-depth', 3, level).pans.map(({ lab }) => lab[0]);
      return Math.max(...labs) - Math.min(...labs);
    };
    expect(spread(0)).toBeGreaterThan(spread(1));
    expect(spread(1)).toBeGreaterThan(spread(2));
  });
  test('of correctors the one nearest to the cheek is right; which one depends on the skin', () => {
    const best = Array.from({ length: 120 }, (_, seed) => {
      const task = exercise('corrector', seed, 0) as CorrectorExercise;
      const off = task.pans
        .map((pan) => ({ ...pan, off: corrected(task, pan.lab) }))
        .sort((a, b) => a.off - b.off);
      expect(judge(task, { kind: 'choice', id: off[0]!.id }).grade).toBe('sure');
      // Something helps, visibly: a question with no answer is none.
      expect(off[0]!.off).toBeLessThan(deltaE2000(task.under, task.cheek) - 0.5);
      expect(judge(task, { kind: 'choice', id: off.at(-1)!.id }).score).toBeLessThan(50);
      return off[0]!.id;
    });
    expect(new Set(best).size).toBeGreaterThan(1);
    expect(best).not.toContain('green');
    expect(best).not.toContain('lilac');
  });
  test('the trade’s order of steps is right, and cream over powder is what is told', () => {
    const all = [
      'clean',
      'prep',
      'prime',
      'correct',
      'base',
      'conceal',
      'cream',
      'set',
      'powder',
      'spray',
      'check',
    ];
    for (const seed of SEEDS) {
      const task = exercise('steps', seed, 0) as StepsExercise;
      const right = all.filter((id) => task.steps.some((one) => one.id === id));
      expect(judge(task, { kind: 'order', ids: right })).toMatchObject({
        score: 100,
        first: 'That order works.',
      });
      expect(judge(task, { kind: 'order', ids: [...right].reverse() }).score).toBe(0);
    }
    const [both] = Array.from(
      { length: 50 },
      (_, seed) => exercise('steps', seed, 0) as StepsExercise,
    ).filter(({ steps }) => ['cream', 'set'].every((id) => steps.some((one) => one.id === id)));
    const swapped = all
      .filter((id) => both!.steps.some((one) => one.id === id))
      .map((id) => (id === 'cream' ? 'set' : id === 'set' ? 'cream' : id));
    expect(judge(both!, { kind: 'order', ids: swapped }).first).toBe(
      '“Cream contour” comes before “Powder to set”.',
    );
  });
  test('all its steps are put in order, each once, and no others', () => {
    const task = exercise('steps', 1, 0) as StepsExercise;
    const ids = task.steps.map(({ id }) => id);
    const foreign = ['clean', 'prep', 'prime', 'correct', 'base', 'conceal', 'cream'].find(
      (id) => !ids.includes(id),
    )!;
    const order = (given: readonly string[]) => () => judge(task, { kind: 'order', ids: given });
    expect(order(ids)).not.toThrow();
    for (const wrong of [
      [],
      ids.slice(1),
      [...ids.slice(1), ids[1]!],
      [...ids.slice(1), foreign],
      [...ids, foreign],
    ])
      expect(order(wrong)).toThrow('no answer');
  });
});

function permutations(ids: readonly string[]): string[][] {
  if (ids.length < 2) return [[...ids]];
  return ids.flatMap((id) => permutations(ids.filter((one) => one !== id)).map((rest) => [id, ...rest]));
}

describe('what was practised', () => {
  let n = 0;
  const attempt = (day: number, grade: Attempt['grade'], miss = 2, more: Partial<Attempt> = {}): Attempt => ({
    id: `0190a000-0000-7000-8000-${String(n++).padStart(12, '0')}`,
    at: `2031-05-${String(day).padStart(2, '0')}T10:${String(n % 60).padStart(2, '0')}:00Z`,
    kind: 'attempt',
    skill: 'contour',
    seed: 1,
    level: 0,
    score: 80,
    grade,
    miss,
    first: 'x',
    ...more,
  });
  const now = (events: Parameters<typeof practiceNow>[0]) =>
    practiceNow(events, 'UTC').find((one) => one.skill === 'contour')!;

  test('good on its days it is due after 3, 14 and 57 days; more in one day is free practice', () => {
    const days = (events: readonly Attempt[]): number =>
      daysBetween(events.at(-1)!.at.slice(0, 10), now(events).due!);
    const first = [attempt(1, 'good')];
    expect(days(first)).toBe(3);
    expect(now([...first, attempt(1, 'again'), attempt(1, 'sure')]).due).toBe(now(first).due);
    expect(days([...first, attempt(4, 'good')])).toBe(14);
    expect(now([]).due).toBeNull();
  });

  test.each([
    ['UTC', 1, '2031-05-16'],
    ['Asia/Jakarta', 0, '2031-05-17'],
    ['America/Lima', 1, '2031-05-16'],
  ])('one morning and evening in %s are one day, wherever midnight is', (zone, level, due) => {
    // In Jakarta 06:30 and 21:00 of the 14th; in Lima 18:30 of the 13th and 09:00 of the 14th.
    const both = ['2031-05-13T23:30:00Z', '2031-05-14T14:00:00Z'].map((at) => attempt(1, 'good', 1, { at }));
    const contour = (told: readonly Attempt[]) =>
      practiceNow(told, zone).find((one) => one.skill === 'contour')!;
    expect(contour(both).level).toBe(level);
    expect(contour(both.slice(0, 1)).due).toBe(due);
  });

  test('a level up after two good days, not twice on one; down after two that went wrong', () => {
    const level = (...grades: [number, Attempt['grade']][]) =>
      now(grades.map(([day, grade]) => attempt(day, grade))).level;
    expect(level([1, 'good'], [1, 'sure'])).toBe(0);
    expect(level([1, 'good'], [2, 'sure'])).toBe(1);
    expect(level([1, 'good'], [2, 'near'], [3, 'good'])).toBe(0);
    expect(level([1, 'good'], [2, 'good'], [3, 'good'], [4, 'good'], [5, 'good'], [6, 'good'])).toBe(2);
    expect(level([1, 'good'], [2, 'good'], [3, 'again'], [3, 'again'])).toBe(0);
    expect(level([1, 'again'], [1, 'again'], [1, 'again'])).toBe(0);
  });

  test('progress is the last five with their range; better is said only from ten on, and when it is so', () => {
    const misses = (...all: number[]) => now(all.map((miss, i) => attempt(1 + i, 'near', miss)));
    expect(misses(5, 4, 3).last).toEqual({ misses: [5, 4, 3], median: 4, least: 3, most: 5 });
    expect(misses(6, 6, 6, 6, 2, 2, 2, 2, 2).better).toBe(false);
    expect(misses(6, 6, 6, 6, 6, 2, 2, 2, 2, 2).better).toBe(true);
    expect(misses(6, 6, 6, 6, 6, 5, 5, 5, 5, 5).better).toBe(false);
  });

  test('in whatever order it is told, it stands the same', () => {
    const told = [
      attempt(1, 'good'),
      attempt(2, 'again'),
      attempt(4, 'sure'),
      attempt(4, 'near'),
      attempt(9, 'good'),
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(told, { minLength: told.length }), (shuffled) => {
        expect(practiceNow(shuffled, 'UTC')).toEqual(practiceNow(told, 'UTC'));
      }),
    );
  });

  test('what is overdue comes first, then what was never tried', () => {
    const all = practiceNow([attempt(1, 'good'), attempt(20, 'good', 1, { skill: 'nose' })], 'UTC');
    const order = dueFirst(all, '2031-05-21').map((one) => one.skill);
    expect(order[0]).toBe('contour');
    expect(order.at(-1)).toBe('nose');
  });

  test('a skill of the week lasts a week; the newest speaks, none ends it', () => {
    const week = (skill: string | null, from: string, at = 1): PracticeEvent => ({
      id: 'w',
      at: `2031-05-0${at}T08:00:00Z`,
      by: 'Ada',
      kind: 'week',
      skill,
      from,
    });
    const set = [week('nose', '2031-05-05')];
    expect(weekSkill(set, '2031-05-05')?.skill).toBe('nose');
    expect(weekSkill(set, '2031-05-11')?.skill).toBe('nose');
    expect(weekSkill(set, '2031-05-12')).toBeNull();
    expect(weekSkill(set, '2031-05-04')).toBeNull();
    // Next week's is set ahead: this week's stays till then.
    const ahead = [...set, week('jaw', '2031-05-08', 6)];
    expect(weekSkill(ahead, '2031-05-07')?.skill).toBe('nose');
    expect(weekSkill(ahead, '2031-05-08')?.skill).toBe('jaw');
    expect(weekSkill([...set, week(null, '2031-05-06', 2)], '2031-05-06')).toBeNull();
  });

  test('a guide is practised by its skill, where there is one', () => {
    expect(skillForGuide('cheekContour')?.id).toBe('contour');
    expect(skillForGuide('lipLine')).toBeNull();
  });
});

test('a line that lies elsewhere is not praised for where it begins', () => {
  for (const seed of SEEDS) {
    const task = lineOf('contour', seed);
    expect(judge(task, drawn(moved(task, -14, -6))).well ?? '').not.toMatch(/begins|ends/);
  }
});
