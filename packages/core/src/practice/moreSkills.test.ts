import fc from 'fast-check';
import { deltaE2000, shiftDepth, type Lab } from '../colour';
import {
  checkLimits,
  contourFinder,
  faceModel,
  outlineOf,
  PLAIN_FEATURES,
  type Point,
  type Polygon,
} from '../face';
import { inAnotherLanguage } from '../messages/messages.testing';
import { RULES } from '../review';
import { BREAKAGES, breaks } from './broken';
import {
  exercise,
  fadeMiss,
  judge,
  LEVELS,
  patchMiss,
  pumped,
  pumpPairs,
  scorePatch,
  SKILLS,
  skillForGuide,
  type BrokenExercise,
  type LineExercise,
  type MixExercise,
  type PatchExercise,
} from '.';

const SEEDS = Array.from({ length: 12 }, (_, i) => i + 1);
const PATCHES = SKILLS.filter((one) => one.kind === 'patch').map(({ id }) => id);
const patchOf = (skill: string, seed: number): PatchExercise => {
  const made = exercise(skill, seed, 0);
  if (made?.kind !== 'patch') throw new Error(`${skill} ${seed} is no patch`);
  return made;
};
const patches = PATCHES.flatMap((skill) => SEEDS.slice(0, 6).map((seed) => patchOf(skill, seed)));
const given = (drawn: Polygon, coarse = false) => ({
  kind: 'line' as const,
  drawn,
  coarse,
  mmPerPixel: null,
});
const SQUARE = {
  outline: [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ] as const,
  featherMm: 2,
};
/** In the half's own frame: so far out and down, and so much larger about its own middle. */
const changed = (task: PatchExercise, { out = 0, down = 0, size = 1 }): Point[] => {
  const half = faceModel(task.model.landmarks, task.model.features)[task.side];
  const own = task.wanted.outline.map(half.fromFace);
  const middle = own.reduce<Point>(([x, y], p) => [x + p[0] / own.length, y + p[1] / own.length], [0, 0]);
  return own.map(([x, y]) =>
    half.toFace([middle[0] + size * (x - middle[0]) + out, middle[1] + size * (y - middle[1]) + down]),
  );
};

describe('patches', () => {
  test('the guide itself is whole and praised for nothing else; each lies on a face it breaks no limit of', () => {
    for (const task of patches) {
      const told = judge(task, given(task.wanted.outline));
      expect(told).toMatchObject({ grade: 'sure', well: null });
      expect(told.score).toBeGreaterThan(99);
      expect(told.first).toBe('It lies where it should, as large as it should.');
      const skill = SKILLS.find(({ id }) => id === task.skill)!;
      if (skill.kind !== 'patch') throw new Error(task.skill);
      expect(checkLimits(task.placement, task.model.landmarks, task.model.features, skill.role)).toEqual([]);
    }
    expect(new Set(patches.map(({ side }) => side)).size).toBe(2);
  });

  test('the further it lies, or the more its size is off, the less it is told; never a mark out of anything', () => {
    for (const task of patches) {
      const scale = Math.sqrt(areaOf(task.wanted.outline)) / 10;
      for (const ways of [
        [0, 2, 4, 8].map((k) => ({ down: k * scale })),
        [0, 2, 4, 8].map((k) => ({ out: -k * scale })),
        [1, 0.75, 0.5, 0.3].map((size) => ({ size })),
        [1, 1.4, 1.9, 2.6].map((size) => ({ size })),
      ]) {
        const told = ways.map((way) => judge(task, given(changed(task, way))));
        told.forEach((one, i) => {
          if (i > 0) expect(one.score).toBeLessThanOrEqual(told[i - 1]!.score + 0.01);
          expect(one.first).not.toMatch(/%|points|of 100/);
        });
        expect(told[3]!.score).toBeLessThan(70);
      }
    }
  });

  test('it is told which way it lies, on either side of the face, or which limit it breaks', () => {
    for (const task of patches) {
      const by = 0.45 * Math.sqrt(areaOf(task.wanted.outline));
      for (const [way, words] of [
        [{ down: by }, 'too low'],
        [{ down: -by }, 'too high'],
        [{ out: by }, /too far (back|out|to the client’s left)/],
        [{ out: -by }, /too far (in|to the client’s right)/],
      ] as const) {
        const { first } = judge(task, given(changed(task, way)));
        if (/ mm too /.test(first)) expect(first).toMatch(words);
        else expect(first).not.toMatch(/of the size|edge is/);
      }
    }
    const said = patches.map((task) => judge(task, given(changed(task, { down: 8 }))).first);
    expect(said.filter((first) => first.includes('too low')).length).toBeGreaterThan(said.length / 2);
  });

  test('half and twice the size are told as size, with the middle praised', () => {
    const task = patchOf('blush-mature', 3);
    const small = judge(task, given(changed(task, { size: Math.sqrt(0.5) })));
    expect(small.first).toMatch(/^It is half of the size/);
    expect(small.well).toBe('Its middle is where it should be.');
    const outer = patchOf('outer-lid', 3);
    const large = judge(outer, given(changed(outer, { size: 2 })));
    expect(large.first).toMatch(/^It is 4\.0 times the size/);
  });

  test.each([
    [0.95, 99],
    [0.89, 95],
    [0.84, 90],
    [0.734, 74],
    [0.58, 47],
    [0.39, 20],
  ])('published: a patch %d of which lies where it should is worth %d', (dice, wanted) => {
    const whole = patchMiss(SQUARE, SQUARE);
    expect(Math.abs(scorePatch({ ...whole, dice }).score - wanted)).toBeLessThan(1);
  });
  test('a finger may miss by a fifth more, and a broken limit caps what is whole', () => {
    const miss = { ...patchMiss(SQUARE, SQUARE), dice: 0.7 };
    expect(scorePatch(miss, { coarse: true }).score).toBeCloseTo(100 * 2 ** -((0.3 / 0.48) ** 2), 6);
    const whole = patchMiss(SQUARE, SQUARE);
    expect(scorePatch(whole, { breachMm: 0.29 }).grade).toBe('sure');
    expect(scorePatch(whole, { breachMm: 0.31 }).score).toBe(74);
    expect(scorePatch(whole, { breachMm: 3.1 }).score).toBe(54);
  });

  test('what encloses nothing is refused in words', () => {
    const task = patchOf('blush-lifted', 1);
    expect(() => judge(task, given(task.wanted.outline.slice(0, 2)))).toThrow(/all the way round/);
    expect(() => judge(task, given(Array.from({ length: 9 }, (): Point => [10, 10])))).toThrow(RangeError);
  });

  test('a guide of the chart leads to what practises it, not to the hollow', () => {
    expect(skillForGuide('blushLifted')?.id).toBe('blush-lifted');
    expect(skillForGuide('cheekContour')?.id).toBe('contour');
    expect(skillForGuide('outerLid')?.id).toBe('outer-lid');
  });
});
const areaOf = (outline: Polygon): number =>
  Math.abs(
    outline.reduce((sum, [x, y], i) => {
      const [nx, ny] = outline[(i + 1) % outline.length]!;
      return sum + (x * ny - nx * y) / 2;
    }, 0),
  );

describe('edge and hollow', () => {
  const lines = (skill: string) => SEEDS.map((seed) => exercise(skill, seed, 0) as LineExercise);
  test('each is whole on its own line, and told by name when the other is drawn', () => {
    for (const task of lines('hollow')) {
      expect(judge(task, given(task.guide.line)).grade).toBe('sure');
      const [edge] = outlineOf(
        { guide: 'cheekContour', side: task.side },
        task.model.landmarks,
        task.model.features,
      );
      expect(judge(task, given(edge!.line!)).first).toMatch(/^That is the edge a smile shows.* \d+ mm lower/);
    }
    for (const task of lines('contour')) {
      const { landmarks, features } = task.model;
      const face = faceModel(landmarks, features);
      const half = face[task.side];
      const drawn = contourFinder(half, face).hollowLine.map(half.toFace);
      expect(judge(task, given(drawn)).first).toMatch(/^That is the hollow\. .* \d+ mm higher/);
      // Between the two it is neither: what it is off by is told.
      expect(judge(task, given(task.guide.line)).first).toBe('On the line, from end to end.');
    }
  });
});

describe('a skin in two pumps', () => {
  const tasks = LEVELS.flatMap((level) =>
    SEEDS.map((seed) => exercise('two-pumps', seed, level) as MixExercise),
  );
  test('there is one pair that comes nearest, of two pans, within sight of the skin; over every depth', () => {
    for (const { skin, pans } of tasks) {
      const [best, next] = pumpPairs(skin, pans);
      expect(best!.off).toBeLessThanOrEqual(1.5);
      expect(best!.ids[0]).not.toBe(best!.ids[1]);
      expect(next!.off - best!.off).toBeGreaterThanOrEqual(0.4);
      // A second way: every pair again, one by one.
      const all = pans.flatMap((a, i) => pans.slice(i).map((b) => deltaE2000(pumped(a.lab, b.lab), skin)));
      expect(Math.min(...all)).toBeCloseTo(best!.off, 9);
      expect(all).toHaveLength(15);
    }
    const depths = tasks.map(({ skin }) => skin[0]);
    expect(Math.max(...depths) - Math.min(...depths)).toBeGreaterThan(25);
  });
  test('the best is sure either way round, worse pairs are told with which way they are off', () => {
    for (const task of tasks) {
      const pairs = pumpPairs(task.skin, task.pans);
      const [a, b] = pairs[0]!.ids;
      for (const ids of [
        [a, b],
        [b, a],
      ])
        expect(judge(task, { kind: 'picks', ids })).toMatchObject({ grade: 'sure', miss: 0 });
      const worst = judge(task, { kind: 'picks', ids: [...pairs.at(-1)!.ids] });
      expect(worst.score).toBeLessThan(60);
      expect(worst.first).toMatch(/deeper|lighter|yellower|pinker|stronger|duller/);
      expect(worst.first).toContain(`${a.toUpperCase()} and ${b.toUpperCase()}`);
    }
  });
  test('further off never scores more', () => {
    for (const task of tasks) {
      const scores = pumpPairs(task.skin, task.pans).map(
        ({ ids }) => judge(task, { kind: 'picks', ids: [...ids] }).score,
      );
      expect([...scores].sort((x, y) => y - x)).toEqual(scores);
    }
  });
  test('two pumps of one pan are that pan; which comes first does not matter', () => {
    fc.assert(
      fc.property(
        fc.tuple(
          fc.integer({ min: 28, max: 85 }),
          fc.integer({ min: 4, max: 18 }),
          fc.integer({ min: 6, max: 26 }),
        ),
        fc.tuple(
          fc.integer({ min: 28, max: 85 }),
          fc.integer({ min: 4, max: 18 }),
          fc.integer({ min: 6, max: 26 }),
        ),
        (one: Lab, other: Lab) =>
          deltaE2000(pumped(one, one), one) < 0.2 &&
          deltaE2000(pumped(one, other), pumped(other, one)) < 1e-6,
      ),
      { numRuns: 60 },
    );
  });
  test('one pump, three, or of no such pan: refused', () => {
    const task = tasks[0]!;
    for (const ids of [['a'], ['a', 'b', 'c'], ['a', 'z'], []])
      expect(() => judge(task, { kind: 'picks', ids })).toThrow(RangeError);
  });
});

describe('what is wrong here', () => {
  const tasks = Array.from({ length: 40 }, (_, seed) => exercise('broken', seed, 0)).map((task, seed) => {
    if (task?.kind !== 'broken') throw new Error(`nothing broken for ${seed}`);
    return task;
  });
  test('one or two practices of five are broken, each of them a rule of the review, over many kinds', () => {
    for (const { chart } of tasks) {
      expect(chart.choices).toHaveLength(5);
      expect(new Set(chart.choices.map(({ id }) => id)).size).toBe(5);
      expect([1, 2]).toContain(chart.right.length);
      expect(chart.choices.map(({ id }) => id)).toEqual(expect.arrayContaining([...chart.right]));
      for (const { id, words } of chart.choices)
        expect(RULES.find((rule) => rule.id === id)!.name).toBe(words);
      expect(chart.says).toHaveLength(chart.right.length);
      expect(chart.steps.length).toBeGreaterThanOrEqual(7);
    }
    expect(new Set(tasks.flatMap(({ chart }) => chart.right)).size).toBeGreaterThanOrEqual(12);
    // Where it stands among the five tells nothing.
    expect(
      new Set(tasks.map(({ chart }) => chart.choices.findIndex(({ id }) => chart.right.includes(id)))).size,
    ).toBe(5);
  });
  test('no practice gives itself away: each that is right somewhere is offered and wrong elsewhere', () => {
    const right = new Set(tasks.flatMap(({ chart }) => chart.right));
    const wrong = new Set(
      tasks.flatMap(({ chart }) =>
        chart.choices.map(({ id }) => id).filter((id) => !chart.right.includes(id)),
      ),
    );
    expect([...right].filter((id) => !wrong.has(id))).toEqual([]);
  });
  test('in another language it is the same exercise, in other words', () => {
    for (const [seed, task] of tasks.entries()) {
      const told = inAnotherLanguage(() => exercise('broken', seed, 0));
      if (told?.kind !== 'broken') throw new Error(`nothing broken for ${seed}`);
      expect(told.chart.right).toEqual(task.chart.right);
      expect(told.chart.choices.map(({ id }) => id)).toEqual(task.chart.choices.map(({ id }) => id));
      expect(told.chart.steps.map(({ id }) => id)).toEqual(task.chart.steps.map(({ id }) => id));
      expect(told.chart.placements).toEqual(task.chart.placements);
      expect(told.chart.steps[0]!.words).not.toBe(task.chart.steps[0]!.words);
    }
  });
  test.each(BREAKAGES.map((_, i) => i))(
    'breakage %d shows on most skins and faces, as one practice or two, and each shows one of its own',
    (i) => {
      const shown = [-5, -2, 1, 4, 7, 11].flatMap((depth, k) => {
        const face = (exercise('contour', k + 1, 0) as LineExercise).model;
        const { fresh } = breaks(
          BREAKAGES[i]!,
          face.landmarks,
          PLAIN_FEATURES,
          shiftDepth([64, 12, 19], depth),
        );
        return [new Set(fresh.map(({ rule }) => rule)).size];
      });
      expect(shown.filter((rules) => rules === 1 || rules === 2).length).toBeGreaterThanOrEqual(4);
    },
  );
  test('all of it is sure, half of it or more than it is not, nothing of it is once more', () => {
    const pick = (task: BrokenExercise, ids: readonly string[]) => judge(task, { kind: 'picks', ids });
    for (const task of tasks) {
      const { right, choices } = task.chart;
      const wrong = choices.map(({ id }) => id).filter((id) => !right.includes(id));
      expect(pick(task, right)).toMatchObject({ grade: 'sure', miss: 0, well: 'You saw it.' });
      expect(pick(task, wrong.slice(0, 1))).toMatchObject({ grade: 'again', well: null });
      expect(pick(task, [...right, ...wrong]).score).toBeLessThan(75);
      if (right.length === 2) expect(pick(task, right.slice(0, 1)).well).toBe('You saw one of the two.');
      for (const said of task.chart.says) expect(pick(task, wrong.slice(0, 1)).first).toContain(said);
    }
    expect(() => pick(tasks[0]!, [])).toThrow(RangeError);
    expect(() => pick(tasks[0]!, ['juggling'])).toThrow(RangeError);
  });
});

describe('how a stroke fades', () => {
  const even = (value: number, n = 30): number[] => Array.from({ length: n }, () => value);
  const fading = (to: number, n = 30): number[] =>
    Array.from({ length: n }, (_, i) => 1 + ((to - 1) * i) / (n - 1));
  test('faded as the guide it misses nothing; pressed evenly it misses by what the guide lets go', () => {
    for (const end of [0.2, 0.35, 0.5, 1]) {
      expect(Math.abs(fadeMiss(fading(end), [1, end], false)!)).toBeLessThan(0.08);
      const wanted = (end + (1 - end) / 6) / (1 + (end - 1) / 6);
      expect(fadeMiss(even(0.7), [1, end], false)!).toBeCloseTo(-Math.log2(wanted), 6);
    }
  });
  test('a guide laid evenly or growing towards its end asks for that: fading is then what is wrong', () => {
    for (const fade of [
      [1, 1],
      [0.55, 1],
    ] as const) {
      expect(fadeMiss(fading(0.35), fade, false)!).toBeLessThan(-0.5);
      const wanted = fade[1] / fade[0];
      const as = fading(wanted).map((one) => one / Math.max(1, wanted));
      expect(Math.abs(fadeMiss(as, fade, false)!)).toBeLessThan(0.08);
    }
  });
  test('how hard it is pressed in all does not matter, which end is drawn first does not either', () => {
    const half = fading(0.35).map((one) => one / 2);
    expect(fadeMiss(half, [1, 0.35], false)).toBeCloseTo(fadeMiss(fading(0.35), [1, 0.35], false)!, 9);
    expect(fadeMiss([...fading(0.35)].reverse(), [1, 0.35], true)).toBeCloseTo(
      fadeMiss(fading(0.35), [1, 0.35], false)!,
      9,
    );
  });
  test('of a few points, or of nothing pressed, nothing is said', () => {
    expect(fadeMiss(even(0.5, 5), [1, 0.35], false)).toBeNull();
    expect(fadeMiss(even(0.5, 6), [1, 0.35], false)).not.toBeNull();
    expect(fadeMiss(even(0), [1, 0.35], false)).toBeNull();
  });
  test('on every face a stroke on the guide is told less the more wrongly it fades, and as before where nothing tells', () => {
    for (const seed of SEEDS) {
      const task = exercise('contour', seed, 0) as LineExercise;
      const line = task.guide.line;
      const score = (pressure: readonly number[] | null) => judge(task, { ...given(line), pressure }).score;
      const along = (to: number) => fading(to, line.length).map((one) => one / Math.max(1, to));
      const end = task.guide.fade![1] / task.guide.fade![0];
      const scores = [end, Math.min(1, 1.6 * end), 1.6, 4].map((to) => score(along(to)));
      for (const [i, one] of scores.entries()) if (i > 0) expect(one).toBeLessThan(scores[i - 1]!);
      expect(score(null)).toBeGreaterThan(99.9);
      expect(score(along(end))).toBeGreaterThan(99);
      expect(judge(task, { ...given(line), pressure: along(4) }).first).toMatch(/^Too much lies at the end/);
      expect(judge(task, { ...given(line), pressure: along(0.02) }).first).toMatch(/^It lets go too soon/);
    }
  });
});
