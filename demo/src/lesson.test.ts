import { lessonFrom, stepsOfVariant, type Lesson } from '@toile/core';
import { demoStudio } from './studio';

const demo = demoStudio('2031-05-14');
const charts = [...new Map(demo.charts.map((chart) => [chart.id, chart])).values()];
const words = (lesson: Lesson): string => JSON.stringify(lesson);
const handsOn = ({ steps }: Lesson): number => steps.reduce((sum, step) => sum + step.minutes, 0);
const MINUTES = [3, 5, 10, 15, 20, 30, 45, 90];

test('it keeps within the minutes there are, and more of them never teach less', () => {
  const wrong = charts.flatMap((chart) => {
    const lessons = MINUTES.map((minutes) => lessonFrom(chart, { minutes }));
    return lessons.flatMap((lesson, i) => [
      ...(lesson.steps.length === 0 ? [`${chart.client.name} in ${MINUTES[i]} min: nothing`] : []),
      ...(lesson.steps.length > 1 && handsOn(lesson) > MINUTES[i]!
        ? [`${chart.client.name} ${MINUTES[i]} min: ${handsOn(lesson)}`]
        : []),
      ...(i > 0 && lesson.steps.length < lessons[i - 1]!.steps.length - 2
        ? [`${chart.client.name} ${MINUTES[i]} min: fewer`]
        : []),
    ]);
  });
  expect(wrong).toEqual([]);
});

test('steps and what is left out are the plan, each once; things are numbered as they are used', () => {
  for (const chart of charts)
    for (const minutes of MINUTES) {
      const lesson = lessonFrom(chart, { minutes });
      const all = [...lesson.steps, ...lesson.left].map(({ stepId }) => stepId).sort();
      expect(all).toEqual(
        stepsOfVariant(chart.steps, null)
          .map(({ id }) => id)
          .sort(),
      );
      expect(lesson.things.map(({ number }) => number)).toEqual(lesson.things.map((_, i) => i + 1));
      const used = lesson.steps.flatMap(({ things }) => things);
      expect([...new Set(used)].sort((a, b) => a - b)).toEqual(lesson.things.map(({ number }) => number));
    }
});

test('what is chosen is what is taught; nothing with glue or an airbrush is sent home', () => {
  for (const chart of charts) {
    const plan = stepsOfVariant(chart.steps, null);
    const keep = plan.map(({ id }) => id);
    const lesson = lessonFrom(chart, { minutes: 5, keep });
    for (const step of plan) {
      const home = lesson.steps.some(({ stepId }) => stepId === step.id);
      const never =
        step.role === 'adornment' ||
        step.tool === 'airbrush' ||
        step.use.some(({ product }) => product.kind === 'lashes');
      expect({ step: step.title, home }).toEqual({ step: step.title, home: !never });
      const left = lesson.left.find(({ stepId }) => stepId === step.id);
      expect(left?.atHome ?? true).toBe(!never);
    }
    expect(lessonFrom(chart, { minutes: 90, keep: [keep[0]!] }).steps.length).toBeLessThanOrEqual(1);
  }
});

test('never a word of health, of a note, of contact, or of anybody else', () => {
  for (const chart of charts) {
    const client = demo.clients.find(({ id }) => id === chart.client.id)!;
    const said = words(lessonFrom(chart, { minutes: 60 }));
    const others = demo.clients.filter(({ id }) => id !== client.id).map(({ name }) => name);
    for (const secret of [client.phone, client.email, ...client.sensitivities, ...others])
      if (secret !== '') expect(said).not.toContain(secret);
    // Not a letter of a note: with all of them rubbed out the lesson is the same.
    const noteless = { ...chart, steps: chart.steps.map((step) => ({ ...step, note: '' })) };
    expect(words(lessonFrom(noteless, { minutes: 60 }))).toBe(said);
    expect(said.toLowerCase()).not.toMatch(/allerg|sensitiv|tremor|patch test of|diagnos/);
  }
});

test('it speaks to whoever stands before the mirror: your side, sizes anybody knows, one cure', () => {
  for (const chart of charts) {
    const lesson = lessonFrom(chart, { minutes: 60 });
    for (const step of lesson.steps) {
      for (const place of step.where) expect(place).not.toMatch(/client|cm²|undefined|NaN/);
      expect(step.check.length).toBeGreaterThan(5);
      if (step.amount !== null)
        expect(step.amount).toMatch(
          /^(as much as (a|half) |(one|\d) (touch(es)? of it|sprays?|thin coats?)$)/,
        );
      if (step.sizeMm !== null) expect(step.sizeMm).toBeGreaterThan(1);
      if (step.sizeMm !== null) expect(step.sizeMm).toBeLessThan(16);
    }
    expect(lesson.minds.join(' ')).toContain('see a doctor');
    expect(lesson.minds.join(' ')).toMatch(/The shades are of [A-Z][a-z]+ 20\d\d\./);
    expect(lesson.steps.length === 0 || lesson.minutes >= Math.floor(handsOn(lesson))).toBe(true);
  }
});
