import { Type, type Static, type TProperties } from '@sinclair/typebox';
import { SIDES, type Side } from '../face';
import { LookSchema, MOST_STEPS, StepSchema } from '../look';
import { msg, term } from '../messages';
import {
  closed,
  DateSchema,
  InstantSchema,
  LabSchema,
  NoteSchema,
  oneOf,
  TextSchema,
  UuidSchema,
} from '../schema';
import { comparePlaces, type Compared, type SeenHalf, type TouchedUp } from './compareHalves';
import type { SidesDrawn } from './draw';
import type { Swap } from './halves';
import { TRIAL_JUDGES, TRIAL_MEASURE_NAMES, TRIAL_MEASURES, TRIAL_ZONES } from './measures';
import { SKIN_GROUPS } from './skinGroup';
import { checkTimes, WEAR_MARKS } from './wearCheck';

/** What two halves may differ in. */
export const TRIAL_ASPECTS = ['product', 'tool', 'technique', 'step', 'school'] as const;
export type TrialAspect = (typeof TRIAL_ASPECTS)[number];

const zone = oneOf(TRIAL_ZONES);
const side = oneOf(SIDES, 'the client’s');
const measure = oneOf(TRIAL_MEASURE_NAMES);
const judge = oneOf(TRIAL_JUDGES);
const way = Type.Object({ key: TextSchema, words: TextSchema }, closed);

/** What is asked, the same on every client it is asked on: its two ways always in the same order. */
export const QuestionSchema = Type.Object(
  {
    key: Type.String({
      minLength: 1,
      maxLength: 600,
      description: 'the same for trials that may be counted together',
    }),
    text: TextSchema,
    aspect: oneOf(TRIAL_ASPECTS),
    a: way,
    b: way,
  },
  closed,
);
export type Question = Static<typeof QuestionSchema>;

/** Stated as core's own type: what is kept is only ever read. */
const swap = Type.Unsafe<Swap>(
  Type.Union([
    Type.Object(
      {
        aspect: oneOf(['product', 'tool', 'technique', 'step'] as const),
        steps: Type.Array(
          Type.Object({ stepId: UuidSchema, other: Type.Union([StepSchema, Type.Null()]) }, closed),
          { minItems: 1, maxItems: MOST_STEPS },
        ),
      },
      closed,
    ),
    Type.Object(
      { aspect: Type.Literal('school'), answers: Type.Partial(LookSchema.properties.schools) },
      closed,
    ),
  ]),
);

/** What is judged, said and locked before the sides are drawn. */
export const DeclaredSchema = Type.Object(
  {
    measure,
    by: judge,
    zones: Type.Array(zone, { minItems: 1, maxItems: TRIAL_ZONES.length }),
    hours: Type.Array(Type.Number({ minimum: 0, maximum: 24 }), {
      minItems: 1,
      maxItems: 12,
      description:
        'when it is to be looked at, hours after it was put on; what was looked at later counts not',
    }),
    margin: Type.Number({ minimum: 0, maximum: 10, description: 'under it two halves count as equal' }),
    design: Type.Optional(
      Type.Literal('places', {
        description: 'each place has a draw of its own; left out: one for the whole face',
      }),
    ),
  },
  closed,
);

const drawn = {
  seed: Type.String({ minLength: 1, maxLength: 200 }),
  at: InstantSchema,
  by: TextSchema,
};
const number = Type.Number({ minimum: 0, exclusiveMaximum: 1 });

/**
 * One half-face trial as it was declared and drawn: `toile.trial/1`. It is never changed; what follows are
 * its events.
 */
export const TrialSchema = Type.Object(
  {
    format: Type.Literal('toile.trial/1'),
    id: UuidSchema,
    clientId: UuidSchema,
    chartId: UuidSchema,
    version: Type.Integer({ minimum: 1, description: 'of the chart, with both halves in a variant' }),
    variant: TextSchema,
    date: DateSchema,
    question: QuestionSchema,
    chartHas: oneOf(['a', 'b'] as const, 'the way the chart works; the other was tried beside it'),
    swap,
    declared: DeclaredSchema,
    skin: oneOf(SKIN_GROUPS, 'of the client, where it is judged'),
    declaredHash: Type.String({ pattern: '^sha256:[0-9a-f]{64}$' }),
    differs: Type.Array(TextSchema, { maxItems: 40, description: 'what else differed than was asked' }),
    draw: Type.Union([
      Type.Object(
        {
          ...drawn,
          chance: Type.Number({ minimum: 0, maximum: 1, description: 'that A went left' }),
          number,
          aSide: side,
        },
        closed,
      ),
      Type.Object(
        {
          ...drawn,
          places: Type.Array(Type.Object({ zone, number, aSide: side }, closed), {
            minItems: 2,
            maxItems: TRIAL_ZONES.length,
            description: 'a fair coin for each declared place',
          }),
        },
        closed,
      ),
    ]),
  },
  closed,
);
export type Trial = Static<typeof TrialSchema>;

export const TRIAL_CHOICES = ['a', 'b', 'either', 'more'] as const;
export type TrialChoice = (typeof TRIAL_CHOICES)[number];
export const TRIAL_SCOPES = ['client', 'skinType', 'studio'] as const;
export type TrialScope = (typeof TRIAL_SCOPES)[number];
export const ANSWERS = ['yes', 'no', 'not looked at'] as const;

const seenHalf = Type.Object(
  {
    zone,
    side,
    measure,
    value: Type.Number({ minimum: 0, maximum: 100 }),
    lab: Type.Optional({
      ...LabSchema,
      description: 'of a half that was read: what later readings are held against',
    }),
  },
  closed,
);
/** What may happen of a trial, with what goes with each telling. */
const eventsWith = <T extends TProperties, D extends TProperties>(told: T, decided: D) =>
  Type.Union([
    Type.Object({ ...told, kind: Type.Literal('applied'), appliedAt: InstantSchema }, closed),
    Type.Object(
      { ...told, kind: Type.Literal('opened') },
      { ...closed, description: 'somebody saw which side is which' },
    ),
    Type.Object(
      {
        ...told,
        kind: Type.Literal('looked'),
        judge,
        lookedAt: InstantSchema,
        seen: Type.Array(seenHalf, { maxItems: 120 }),
        touched: Type.Array(zone, { maxItems: TRIAL_ZONES.length }),
        marks: Type.Array(oneOf(WEAR_MARKS), { maxItems: WEAR_MARKS.length }),
        stings: Type.Optional(oneOf([...SIDES, 'both'] as const, 'it was taken off there')),
      },
      closed,
    ),
    Type.Object({ ...told, kind: Type.Literal('ended'), why: NoteSchema }, closed),
    Type.Object(
      {
        ...told,
        kind: Type.Literal('judged'),
        guess: Type.Optional(oneOf(SIDES, 'where whoever judged thinks A was, asked before it was opened')),
      },
      closed,
    ),
    Type.Object(
      {
        ...told,
        kind: Type.Literal('decided'),
        choice: oneOf(TRIAL_CHOICES),
        scope: oneOf(TRIAL_SCOPES),
        ...decided,
        reason: NoteSchema,
        neck: oneOf(ANSWERS, 'whether it agreed with the neck'),
        camera: oneOf(ANSWERS, 'whether it stood the camera'),
      },
      closed,
    ),
  ]);

/** What happened of a trial: added to and never changed. */
export const TrialEventSchema = eventsWith(
  { id: UuidSchema, at: InstantSchema, by: TextSchema },
  { follows: Type.Boolean({ description: 'computed: whether it goes with the count' }) },
);
/** The same as a device tells it: whose hands it was, and what is counted, is not the device's to say. */
export const TrialToldSchema = eventsWith({ id: UuidSchema, at: InstantSchema }, {});
export type TrialTold = Static<typeof TrialToldSchema>;
export type TrialEvent = Static<typeof TrialEventSchema>;
export type Decided = Extract<TrialEvent, { kind: 'decided' }>;

/** A trial in a file: as it was drawn, and all that was told of it. */
export const TrialFileSchema = Type.Object(
  {
    format: Type.Literal('toile.trial/1'),
    trial: TrialSchema,
    events: Type.Array(TrialEventSchema, { maxItems: 5000 }),
  },
  closed,
);

export type TrialNow = {
  readonly state: 'drawn' | 'worn' | 'ended' | 'judged' | 'decided';
  readonly appliedAt: string | null;
  readonly looks: readonly Extract<TrialEvent, { kind: 'looked' }>[];
  /** In the planned hours. */ readonly seen: readonly SeenHalf[];
  /** After them: told, and no part of what was declared. */ readonly seenLater: readonly SeenHalf[];
  /** By the declared measure and judge; null while nobody may know which side is which. */
  readonly compared: Compared | null;
  /** A half that stung: it was taken off, which counts against it. */ readonly stung: Side | 'both' | null;
  /** Who saw which side is which before it was judged. */ readonly openedBy: readonly string[];
  readonly judgedAt: string | null;
  readonly guess: Side | null;
  readonly decided: Decided | null;
};

/** A look is still one of the planned hours when it comes so much later than the last, hours. */
const LATE_HOURS = 1;

/** A trial as whoever judges may see it: its draw is sealed until it is judged. */
export type Sealable = Pick<Trial, 'declared'> & { readonly draw: SidesDrawn | null };
/** The same once it is open. */
export type OpenNow = TrialNow & { readonly compared: Compared };

/** Where a trial stands, from all that was told of it. */
export function trialNow(trial: Pick<Trial, 'declared' | 'draw'>, events: readonly TrialEvent[]): OpenNow;
export function trialNow(trial: Sealable, events: readonly TrialEvent[]): TrialNow;
export function trialNow(trial: Sealable, events: readonly TrialEvent[]): TrialNow {
  const of = <K extends TrialEvent['kind']>(kind: K): Extract<TrialEvent, { kind: K }>[] =>
    events.filter((event): event is Extract<TrialEvent, { kind: K }> => event.kind === kind);
  const appliedAt = of('applied').at(-1)?.appliedAt ?? null;
  const looks = of('looked')
    .filter((look) => appliedAt !== null && checkTimes({ appliedAt, at: look.lookedAt }) === null)
    .sort((a, b) => Date.parse(a.lookedAt) - Date.parse(b.lookedAt));
  const hourOf = (at: string): number => (Date.parse(at) - Date.parse(appliedAt ?? at)) / 3_600_000;
  const last = Math.max(...trial.declared.hours) + LATE_HOURS;
  const all = looks.flatMap((look) =>
    look.seen.map((one): SeenHalf => ({ ...one, hour: hourOf(look.lookedAt), by: look.judge })),
  );
  const seen = all.filter(({ hour }) => hour <= last);
  const touchedUp = looks.flatMap((look): TouchedUp[] =>
    look.touched.map((where) => ({ zone: where, hour: hourOf(look.lookedAt) })),
  );
  const { measure: asked, by, zones, margin } = trial.declared;
  const stung = stungOf(looks.flatMap((look) => look.stings ?? []));
  const [judged] = of('judged');
  const decided = of('decided').at(-1) ?? null;
  return {
    state: decided
      ? 'decided'
      : judged
        ? 'judged'
        : of('ended').length > 0 || stung !== null
          ? 'ended'
          : appliedAt
            ? 'worn'
            : 'drawn',
    appliedAt,
    looks,
    seen,
    seenLater: all.filter(({ hour }) => hour > last),
    compared:
      trial.draw &&
      againstStung(
        comparePlaces(trial.draw, { measure: asked, by, zones, margin }, seen, touchedUp),
        stung,
        trial.draw,
      ),
    stung,
    openedBy: [...new Set(of('opened').map((event) => event.by))],
    judgedAt: judged?.at ?? null,
    guess: judged?.guess ?? null,
    decided,
  };
}

function stungOf(sides: readonly (Side | 'both')[]): Side | 'both' | null {
  const all = new Set(sides.flatMap((one) => (one === 'both' ? SIDES : [one])));
  return all.size === 0 ? null : all.size === 2 ? 'both' : [...all][0]!;
}

/**
 * Missing because it was bad is not missing: the half that stung lost, whatever was seen. Where both did
 * nobody won.
 */
function againstStung(compared: Compared, stung: Side | 'both' | null, drawn: SidesDrawn): Compared {
  if (stung === null) return compared;
  // Drawn place by place both ways lie on that side: nobody knows which of them it was.
  const told = stung !== 'both' && 'aSide' in drawn;
  return { ...compared, outcome: told ? (stung === drawn.aSide ? -1 : 1) : null };
}

/** What is wrong with a look before it is kept, by field; null when nothing is. */
export function questionLook(
  appliedAt: string | null,
  look: Pick<Extract<TrialEvent, { kind: 'looked' }>, 'lookedAt' | 'seen' | 'stings' | 'touched'>,
): { readonly path: string; readonly message: string } | null {
  if (appliedAt === null) return { path: 'lookedAt', message: msg`Say first when both halves were put on` };
  const wrong = checkTimes({ appliedAt, at: look.lookedAt });
  if (wrong) return { path: 'lookedAt', message: wrong };
  if (look.seen.length === 0 && look.touched.length === 0 && look.stings === undefined)
    return { path: 'seen', message: msg`Say how at least one place looks, on both halves` };
  const beyond = look.seen.findIndex(({ measure: of, value }) => !isGrade(of, value));
  if (beyond < 0) return null;
  const { measure: of } = look.seen[beyond]!;
  return {
    path: `seen[${beyond}].value`,
    message: msg`${term(of)} is graded 0 to ${TRIAL_MEASURES[of].most}${of === 'colour' ? '' : msg`, in whole grades`}`,
  };
}

function isGrade(of: keyof typeof TRIAL_MEASURES, value: number): boolean {
  return value >= 0 && value <= TRIAL_MEASURES[of].most && (of === 'colour' || Number.isInteger(value));
}
