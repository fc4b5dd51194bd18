import fc from 'fast-check';
import { measure, outlineOf, PLAIN_FEATURES, questionMeasurements, type Landmarks } from '../face';
import { seededRandom } from '../math';
import {
  feedback,
  gradeOf,
  lineMiss,
  practiceFace,
  practiceSchedule,
  scoreLine,
  softOverlap,
  type LineGuide,
  type LineTask,
} from '.';

const faceOf = (seed: number, facts = {}): Landmarks => {
  const face = practiceFace(seededRandom(seed), facts);
  if (!face) throw new Error(`no face for ${seed}`);
  return face;
};
const cheekOf = (landmarks: Landmarks): LineGuide => {
  const shape = outlineOf({ guide: 'cheekContour', side: 'left' }, landmarks, PLAIN_FEATURES)[0];
  return { line: shape!.line!, widthMm: 7.1 };
};
const moved = (line: LineGuide['line'], dx: number, dy: number) =>
  line.map(([x, y]) => [x + dx, y + dy] as const);

const faces = Array.from({ length: 12 }, (_, seed) => faceOf(seed + 1));

test('the same seed is the same face, another seed another, and each is a likely one', () => {
  expect(faceOf(7)).toEqual(faceOf(7));
  expect(faceOf(7)).not.toEqual(faceOf(8));
  for (const face of faces) {
    expect((face.pupil_left[0] + face.pupil_right[0]) / 2).toBeCloseTo(0, 9);
    expect(
      questionMeasurements({ faceLength: measure('faceLength', face), jawWidth: measure('jawWidth', face) }),
    ).toEqual([]);
  }
});

test('faces are asked for by facts: long, wide, and what is between', () => {
  for (const facts of [
    { faceLength: 198, cheekboneWidth: 126 },
    { faceLength: 164, cheekboneWidth: 141 },
  ]) {
    for (const seed of [1, 2, 3]) {
      const face = faceOf(seed, facts);
      expect(Math.abs(measure('faceLength', face) - facts.faceLength)).toBeLessThan(2);
      expect(Math.abs(measure('cheekboneWidth', face) - facts.cheekboneWidth)).toBeLessThan(2);
    }
  }
});

test('a face that cannot be is none', () => {
  expect(practiceFace(seededRandom(1), {}, () => false)).toBeNull();
});

test('a stroke made of the guide itself is 100, and falls as it is moved, cut, turned and run over', () => {
  for (const face of faces) {
    const guide = cheekOf(face);
    expect(scoreLine(guide.line, guide).score).toBeGreaterThan(99.5);
    let before = 101;
    for (const mm of [0, 1, 2, 3, 5, 8]) {
      const { score } = scoreLine(moved(guide.line, 0, mm * 2), guide);
      expect(score).toBeLessThanOrEqual(before + 0.2);
      before = score;
    }
    const n = guide.line.length;
    const cut = (share: number) =>
      scoreLine(guide.line.slice(0, Math.max(2, Math.round(n * share))), guide).score;
    expect(cut(0.9)).toBeGreaterThanOrEqual(cut(0.7));
    expect(cut(0.7)).toBeGreaterThan(cut(0.4));
    const back = scoreLine([...guide.line].reverse(), guide);
    expect(back.miss.backwards).toBe(true);
    expect(scoreLine(guide.line, guide, { breachMm: 1 }).score).toBe(74);
    expect(scoreLine(guide.line, guide, { breachMm: 4 }).score).toBe(54);
  }
});

test('a finger may miss by more than a pen', () => {
  const guide = cheekOf(faces[0]!);
  const drawn = moved(guide.line, 1, 2);
  expect(scoreLine(drawn, guide, { coarse: true }).score).toBeGreaterThan(scoreLine(drawn, guide).score);
});

test('a miss does not care where on the face it lies, nor how the line is cut into points', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -40, max: 40 }),
      fc.integer({ min: -40, max: 40 }),
      fc.integer({ min: 1, max: 4 }),
      (dx, dy, mm) => {
        const guide = [
          [0, 0],
          [30, 12],
          [50, 14],
        ] as const;
        const drawn = [
          [2, mm],
          [30, 12 + mm],
          [48, 14 + mm],
        ] as const;
        const here = lineMiss(drawn, guide);
        const there = lineMiss(moved(drawn, dx, dy), moved(guide, dx, dy));
        expect(there.meanMm).toBeCloseTo(here.meanMm, 6);
        const finer = lineMiss([drawn[0], [16, (mm + 12 + mm) / 2], drawn[1], drawn[2]], guide);
        expect(finer.meanMm).toBeCloseTo(here.meanMm, 1);
      },
    ),
    { numRuns: 30 },
  );
});

test('patches: discs of 12 mm, 8 apart, overlap as their lens does', () => {
  const disc = (cx: number) => ({
    outline: Array.from(
      { length: 240 },
      (_, i) =>
        [cx + 12 * Math.cos((i / 240) * 2 * Math.PI), 12 * Math.sin((i / 240) * 2 * Math.PI)] as const,
    ),
    featherMm: 0,
  });
  const lens = 2 * 144 * Math.acos(8 / 24) - 4 * Math.sqrt(4 * 144 - 64);
  const { dice, iou } = softOverlap(disc(0), disc(8));
  expect(dice).toBeCloseTo(lens / (Math.PI * 144), 2);
  expect(iou).toBeCloseTo(lens / (2 * Math.PI * 144 - lens), 2);
  expect(() => softOverlap({ outline: [[0, 0]], featherMm: 1 }, disc(0))).toThrow('at least three points');
});

const task: LineTask = {
  side: 'left',
  startWords: 'at the ear',
  endWords: 'under the middle of the eye',
  towards: ['the eye', 'the hollow'],
  cure: 'stay on the bone; smile and find the edge.',
};

test('the worst thing is said first with its mm and its cure, never a bare number', () => {
  const guide: LineGuide = {
    line: [
      [0, 0],
      [50, 0],
    ],
    widthMm: 7,
  };
  const say = (drawn: LineGuide['line']) => {
    const { parts, miss } = scoreLine(drawn, guide);
    return feedback(parts, miss, task);
  };
  expect(
    say([
      [9, 0],
      [50, 0],
    ]).first,
  ).toBe("The client's left starts 9 mm late: begin at the ear, where most product lies.");
  expect(
    say([
      [0, 0],
      [36, 0],
    ]).first,
  ).toBe('Ends 14 mm short: it goes on under the middle of the eye.');
  expect(
    say([
      [0, -4],
      [50, -4],
    ]).first,
  ).toBe('4 mm towards the hollow: stay on the bone; smile and find the edge.');
  expect(
    say([
      [50, 0],
      [0, 0],
    ]).first,
  ).toContain('Drawn from the other end: begin at the ear');
  expect(say(guide.line)).toEqual({ first: 'On the line, from end to end.', well: null });
  expect(
    say([
      [9, 0],
      [50, 0],
    ]).well,
  ).toMatch(/^(It|The|Nowhere)/);
});

test('no line is praised for an end that lies beside the guide, at either end and on either side', () => {
  const guide: LineGuide = {
    line: [
      [0, 0],
      [50, 0],
    ],
    widthMm: 7,
  };
  const praised = (line: LineGuide['line']) => {
    const { miss, parts } = scoreLine(line, guide);
    // Everything but the two ends is out of the running, so that an end is what is praised if it may be.
    const ends = parts.map((one) =>
      one.part === 'start' || one.part === 'end' ? one : { ...one, score: Math.min(one.score, 89) },
    );
    return feedback(ends, miss, task).well;
  };
  for (const away of [2.5, 2.9, 3.1, 4, 6, 9])
    for (const side of [1, -1]) {
      const startBeside = praised([
        [0, side * away],
        [12, 0],
        [36, 0],
      ]);
      const endBeside = praised([
        [14, 0],
        [38, 0],
        [50, side * away],
      ]);
      expect({ away, startBeside }).toEqual({
        away,
        startBeside: away < 3 ? 'It begins where it should.' : null,
      });
      expect({ away, endBeside }).toEqual({ away, endBeside: away < 3 ? 'It ends where it should.' : null });
    }
});

test('what is tried again tomorrow comes sooner after a miss than after a hit, and never past the longest wait', () => {
  const now = new Date('2027-01-04T09:00:00Z');
  const days = (grade: 'again' | 'near' | 'good' | 'sure') =>
    (practiceSchedule(null, grade, now).due.getTime() - now.getTime()) / 86_400_000;
  expect(days('again')).toBeLessThanOrEqual(days('near'));
  expect(days('near')).toBeLessThanOrEqual(days('good'));
  expect(days('good')).toBeLessThan(days('sure'));
  let card = practiceSchedule(null, 'sure', now);
  for (let i = 0; i < 12; i++) card = practiceSchedule(card, 'sure', card.due);
  expect(card.scheduled_days).toBeLessThanOrEqual(92);
});

test.each([
  [95, 'sure'],
  [90, 'sure'],
  [89.9, 'good'],
  [75, 'good'],
  [74, 'near'],
  [55, 'near'],
  [54.9, 'again'],
  [0, 'again'],
])('%d is %s', (score, grade) => expect(gradeOf(score)).toBe(grade));

test('lines of a point and empty guides are refused in words', () => {
  expect(() =>
    lineMiss(
      [[0, 0]],
      [
        [0, 0],
        [1, 0],
      ],
    ),
  ).toThrow('the drawn line has 1 points, at least two are needed');
  expect(() =>
    lineMiss(
      [
        [0, 0],
        [1, 0],
      ],
      [],
    ),
  ).toThrow('the guide has 0 points');
});
