import { evidenceSheet, type TrialEvent, type WearCheck } from '.';
import { after, AT, trialOf } from './halfTrial.testing';

const sheet = (trials: Parameters<typeof evidenceSheet>[0]['trials'], wears: readonly WearCheck[] = []) =>
  evidenceSheet({
    name: 'Ilse Moor',
    trials,
    wears,
    dayOf: (instant) => instant.slice(0, 10),
    days: 'day month',
  });
const event = (n: number, more: object): TrialEvent =>
  ({
    id: `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`,
    at: after(n),
    by: 'Ada',
    ...more,
  }) as TrialEvent;
const LOOKED = [
  event(1, { kind: 'applied', appliedAt: AT }),
  event(2, {
    kind: 'looked',
    judge: 'client',
    lookedAt: after(4),
    touched: [],
    marks: [],
    seen: (['left', 'right'] as const).map((side) => ({
      zone: 'nose',
      side,
      measure: 'shine',
      value: side === 'left' ? 0 : 3,
    })),
  }),
];
const check = (hours: number, more: Partial<WearCheck> = {}): WearCheck => ({
  id: `${hours}`,
  chartId: 'c',
  version: 1,
  clientId: 'a',
  appliedAt: AT,
  at: after(hours),
  judge: 'artist',
  by: 'Ada',
  zones: { nose: 'holds' },
  touched: [],
  marks: [],
  stings: false,
  worn: { nose: 'Ordway Veil', chin: 'Ordway Veil' },
  ...more,
});

test('a trial that is not judged stays sealed on paper too, whatever was seen; judged, it says what it showed', () => {
  const trial = trialOf('left');
  for (const events of [[], LOOKED.slice(0, 1), LOOKED]) {
    const [row] = sheet([{ trial, events }]).parts[0]!.rows;
    expect(row!.detail).toBe('Not judged yet: sealed.');
    expect(row!.what).toContain(trial.question.text);
    expect(JSON.stringify(sheet([{ trial, events }]))).not.toMatch(/left|right|Here /);
  }
  const judged = [...LOOKED, event(6, { kind: 'judged' })];
  expect(sheet([{ trial, events: judged }]).parts[0]!.rows[0]!.detail).toMatch(
    /^Here .* stayed less shiny \(nose .*One face and one draw/,
  );
  const ended = [...LOOKED, event(6, { kind: 'ended', why: 'The client wanted to stop' })];
  expect(sheet([{ trial, events: ended }]).parts[0]!.rows[0]!.detail).toBe('Ended without a verdict.');
});

test('what was decided stands with who decided, against what was seen too', () => {
  const decided = event(7, {
    kind: 'decided',
    choice: 'b',
    scope: 'client',
    follows: false,
    reason: 'The feel of it',
    neck: 'yes',
    camera: 'not looked at',
  });
  const [row] = sheet([
    { trial: trialOf('left'), events: [...LOOKED, event(6, { kind: 'judged' }), decided] },
  ]).parts[0]!.rows;
  expect(row!.detail).toMatch(/Decided for .* against what was seen: The feel of it\. Ada\.$/);
});

test('the looks of one wearing are one line in the order of their hours; another wearing is another, the newest first', () => {
  const next = '2031-06-01T08:00:00Z';
  const rows = sheet(
    [],
    [
      check(6, { zones: { nose: 'needs a touch-up' }, touched: ['nose'], marks: ['meal'], judge: 'client' }),
      check(2),
      check(3, { appliedAt: next, at: '2031-06-01T11:00:00Z', zones: {}, stings: true }),
    ],
  ).parts[1]!.rows;
  expect(rows).toHaveLength(2);
  expect(rows[0]!.what).toMatch(/^Sun 1 Jun 2031: Ordway Veil$/);
  expect(rows[0]!.detail).toBe('After 3.0 h, by Ada: no place said. It stung and was taken off.');
  expect(rows[1]!.detail).toBe(
    'After 2.0 h, by Ada: nose holds. After 6.0 h, by the client: nose needs a touch-up. Touched up: nose. Meal.',
  );
});

test.each([
  [{}, 'no place said'],
  [{ nose: 'holds' }, 'nose holds'],
  [{ nose: 'holds', chin: 'holds', mouth: 'holds' }, 'all 3 places hold'],
  [{ nose: 'starting', chin: 'holds' }, 'nose starting; the rest holds'],
  [{ nose: 'starting', chin: 'needs a touch-up' }, 'nose starting, chin needs a touch-up'],
] as const)('%j is told as %s', (zones, words) => {
  expect(sheet([], [check(2, { zones })]).parts[1]!.rows[0]!.detail).toBe(`After 2.0 h, by Ada: ${words}.`);
});

test('of a client nobody tried anything on it says so', () => {
  expect(sheet([]).foot[0]).toBe('Nothing was tried or looked at yet.');
  expect(sheet([], [check(2)]).foot).toHaveLength(1);
});
