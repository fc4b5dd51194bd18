import {
  SCHOOL_ANSWERS,
  SCHOOL_NAMES,
  SIDES,
  TECHNIQUES,
  TOOLS,
  TRIAL_JUDGES,
  TRIAL_MEASURE_NAMES,
  TRIAL_MEASURES,
  TRIAL_ZONES,
  WEAR_MARKS,
  WEAR_STATES,
} from '@toile/core';
import { AT, ID, letters, many, problems, tryForms, type Row } from './forms.testing';
import { forgetPracticeSchema, practiceInputSchema } from './practice';
import { marginOf, sendTrialSchema, trialEventInputSchema, trialInputSchema } from './trial';
import {
  learnedAnswerInputSchema,
  openWearSchema,
  sendWearSchema,
  wearCheckInputSchema,
  wearLinkInputSchema,
} from './wear';

const TOKEN = `${ID}.${letters(32)}`;
const PUT_ON = '2031-05-14T02:00:00Z';
const token: Row[] = [
  ['token', undefined, 'The link is not whole'],
  ['token', '', 'The link is not whole'],
  ['token', letters(201), 'At most 200 letters'],
];
const version: Row[] = [
  ['version', undefined, 'required'],
  ['version', 0, 'greater than or equal to 1'],
  ['version', 1, null],
  ['version', 1.5, 'integer'],
];
const marks: Row[] = [
  ['marks', [...WEAR_MARKS], null],
  ['marks', many(WEAR_MARKS.length + 1, 'meal'), String(WEAR_MARKS.length)],
  ['marks', ['snow'], 'marks'],
];
const touched: Row[] = [
  ['touched', [...TRIAL_ZONES], null],
  ['touched', many(TRIAL_ZONES.length + 1, 'nose'), String(TRIAL_ZONES.length)],
  ['touched', ['ear'], 'not a zone of the face'],
];
const look: Row[] = [
  ...WEAR_STATES.map((state): Row => ['zones', { nose: state }, null]),
  ['zones', undefined, 'Say how it looks'],
  ['zones', { nose: 'shiny' }, 'Each zone holds, is starting, or needs a touch-up'],
  ['zones', { ear: 'holds' }, 'Each zone holds, is starting, or needs a touch-up'],
  ['zones', 'holds', 'Each zone holds, is starting, or needs a touch-up'],
  ...touched,
  ...marks,
  ['stings', true, null],
];
const nothing = { zones: {}, touched: [], marks: ['meal'], stings: false };
/** Nothing seen is no look; one place, a touch or a sting is. */
const something: Row[] = [
  ['zones', { nose: 'holds' }, null],
  ['touched', ['nose'], null],
  ['stings', true, null],
  ['', null, 'Say how at least one place looks'],
];
const ATTEMPT = {
  id: ID,
  at: AT,
  kind: 'attempt',
  skill: 'contour',
  seed: 3,
  level: 0,
  score: 71,
  grade: 'near',
  miss: 2.4,
  first: '2 mm towards the hollow.',
};
const seen = { zone: 'nose', side: 'left', value: 1 };

tryForms([
  [
    'a look at a face',
    wearCheckInputSchema,
    { id: ID, version: 1, appliedAt: PUT_ON, at: AT, zones: { nose: 'starting' } },
    [
      ['id', undefined, 'required'],
      ...version,
      ['appliedAt', undefined, 'Say when it was put on'],
      ['appliedAt', 'today', 'an instant in UTC'],
      ['at', undefined, 'Say when it was looked at'],
      ['at', '2031-05-14', 'an instant in UTC'],
      // Before it was put on.
      ['at', '2031-05-14T01:59:59Z', 'at: '],
      ...look,
    ],
  ],
  [
    'a look by link',
    sendWearSchema,
    { token: TOKEN, id: ID, at: AT, zones: { nose: 'starting' } },
    [
      ...token,
      ['id', undefined, 'required'],
      ['at', undefined, 'required'],
      ['at', '2031-05-14T24:00:00Z', 'an instant in UTC'],
      ...look,
    ],
  ],
  ['a link to tell how it wears, opened', openWearSchema, { token: TOKEN }, token],
  [
    'a link to tell how it wears',
    wearLinkInputSchema,
    { id: ID, version: 1, appliedAt: PUT_ON, secret: letters(32) },
    [
      ['id', undefined, 'required'],
      ...version,
      ['appliedAt', undefined, 'Say when it was put on'],
      ['secret', letters(31), 'is not a secret of 32 letters'],
      ['trialId', ID, null],
      ['trialId', 'x', 'must be a UUID'],
    ],
  ],
  [
    'an answer to what was learned',
    learnedAnswerInputSchema,
    {
      answer: {
        id: ID,
        key: 'nose | Veil | Hours',
        answer: 'not now',
        words: 'Hours for Veil',
        failed: 3,
        worn: 4,
        strength: 'hint',
      },
    },
    [
      ['answer', undefined, 'Say what was answered'],
      ['answer', 'no', 'answer'],
      ['answer.answer', 'perhaps', 'answer.answer'],
      // Whose answer it was, and when, is the server's to say.
      ['answer.by', 'Ada', 'answer.by'],
    ],
  ],
  [
    'something practised',
    practiceInputSchema,
    { event: ATTEMPT },
    [
      ['event', undefined, 'Say what was practised'],
      ['event', 'contour', 'event'],
      ['event', { ...ATTEMPT, score: 'good' }, 'event'],
      ['event', { ...ATTEMPT, kind: 'lost' }, 'event'],
    ],
  ],
  [
    'practice let go of',
    forgetPracticeSchema,
    { skill: 'contour', sure: true },
    [
      ['skill', null, null],
      ['skill', letters(40), null],
      ['skill', letters(41), 'At most 40 letters'],
      ['sure', false, 'Say that it is meant'],
      ['sure', undefined, 'Say that it is meant'],
    ],
  ],
  [
    'a trial',
    trialInputSchema,
    {
      id: ID,
      version: 1,
      date: '2031-06-02',
      ask: { aspect: 'step', stepId: ID },
      measure: 'shine',
      by: 'client',
      zones: ['nose'],
      hours: [2, 4],
    },
    [
      ['id', undefined, 'required'],
      ...version,
      ['date', undefined, 'Say on which day'],
      ['date', '', 'Say on which day'],
      ['date', '2031-06-31', 'A date, as 2031-05-14'],
      ...TRIAL_MEASURE_NAMES.map((measure): Row => ['measure', measure, null]),
      ['measure', undefined, 'Say by what it is judged'],
      ['measure', 'beauty', 'Say by what it is judged'],
      ...TRIAL_JUDGES.map((by): Row => ['by', by, null]),
      ['by', undefined, 'Say who judges'],
      ['by', 'nobody', 'by: Say who judges'],
      ['zones', [...TRIAL_ZONES], null],
      ['zones', [], 'Choose at least one place'],
      ['zones', undefined, 'Choose at least one place'],
      ['zones', ['ear'], 'not a zone of the face'],
      ['zones', many(TRIAL_ZONES.length + 1, 'nose'), String(TRIAL_ZONES.length)],
      ['design', 'places', null],
      ['design', 'half', null],
      ['design', 'thirds', 'half or places'],
      ['hours', [], 'Choose at least one hour'],
      ['hours', undefined, 'Choose at least one hour'],
      ['hours', [0, 24], null],
      ['hours', [-1], 'At least 0'],
      ['hours', [24.5], 'At most 24'],
      ['hours', many(12, 2), null],
      ['hours', many(13, 2), 'At most twelve looks'],
      // What is compared: each kind by its own fields.
      ['ask', undefined, 'Say what is compared'],
      ['ask', 'the base', 'ask: Say what is compared'],
      ['ask', { stepId: ID }, 'ask.aspect: Say what is compared'],
      ['ask', { aspect: 'weather', stepId: ID }, 'ask.aspect: Say what is compared'],
      ['ask', { aspect: 'toString', stepId: ID }, 'ask.aspect: Say what is compared'],
      ['ask', { aspect: 'step' }, 'ask.stepId: Choose a step'],
      ['ask', { aspect: 'step', stepId: 'x' }, 'ask.stepId: must be a UUID'],
      ['ask', { aspect: 'step', stepId: ID, tool: 'finger' }, 'tool is not known here'],
      ...TOOLS.map((tool): Row => ['ask', { aspect: 'tool', stepId: ID, tool }, null]),
      ['ask', { aspect: 'tool', stepId: ID, tool: 'hammer' }, 'ask.tool: Choose a tool'],
      ['ask', { aspect: 'tool', stepId: ID }, 'ask.tool: Choose a tool'],
      ['ask', { aspect: 'tool', stepId: ID, tool: 'finger', more: 1 }, 'more is not known here'],
      ...TECHNIQUES.map((technique): Row => ['ask', { aspect: 'technique', stepId: ID, technique }, null]),
      ['ask', { aspect: 'technique', stepId: ID, technique: 'hurl' }, 'Choose how it is worked'],
      ['ask', { aspect: 'technique', stepId: ID }, 'ask.technique: Choose how it is worked'],
      ['ask', { aspect: 'technique', stepId: ID, technique: 'tap', more: 1 }, 'more is not known here'],
      ['ask', product({}), null],
      ['ask', product({ pumps: 0 }), 'ask.parts[0].pumps: At least 1'],
      ['ask', product({ pumps: 12 }), null],
      ['ask', product({ pumps: 13 }), 'ask.parts[0].pumps: At most 12'],
      ['ask', { aspect: 'product', stepId: ID, parts: [], doseFactor: 1 }, 'At least one product'],
      ['ask', { ...product({}), more: 1 }, 'more is not known here'],
      ...SCHOOL_NAMES.flatMap((name) =>
        SCHOOL_ANSWERS[name].map((answer): Row => [
          'ask',
          { aspect: 'school', answers: { [name]: answer } },
          null,
        ]),
      ),
      ['ask', { aspect: 'school' }, 'ask.answers: Choose the other way'],
      ['ask', school({}), 'ask.answers: Choose one question, answered the other way'],
      ...SCHOOL_NAMES.map((name): Row => ['ask', school({ [name]: 'neither' }), 'Choose one question']),
      ['ask', school({ shoes: 'on' }), 'Choose one question, answered the other way'],
      [
        'ask',
        school(Object.fromEntries(SCHOOL_NAMES.slice(0, 2).map((name) => [name, SCHOOL_ANSWERS[name][0]]))),
        'Choose one question, answered the other way',
      ],
      ['ask', { ...school({}), more: 1 }, 'more is not known here'],
    ],
  ],
  [
    'something told of a trial',
    trialEventInputSchema,
    { event: { id: ID, at: AT, kind: 'opened' }, intoChart: true },
    [
      ['event', undefined, 'Say what happened'],
      ['event', 'opened', 'event'],
      ['event', { id: ID, at: AT, kind: 'lost' }, 'event'],
      ['intoChart', undefined, null],
      ['intoChart', 'perhaps', 'boolean'],
    ],
  ],
  [
    'a look at both halves',
    sendTrialSchema,
    { token: TOKEN, id: ID, at: AT, seen: [seen], touched: ['chin'], marks: ['meal'], stings: 'left' },
    [
      ...token,
      ['id', undefined, 'required'],
      ['at', undefined, 'required'],
      ['at', 'noon', 'an instant in UTC'],
      ...TRIAL_ZONES.map((zone): Row => ['seen', [{ ...seen, zone }], null]),
      ['seen', [{ ...seen, zone: 'ear' }], 'not a zone of the face'],
      ['seen', [{ ...seen, zone: undefined }], 'seen[0].zone'],
      ...SIDES.map((side): Row => ['seen', [{ ...seen, side }], null]),
      ['seen', [{ ...seen, side: 'top' }], 'seen[0].side'],
      ['seen', [{ ...seen, side: undefined }], 'seen[0].side'],
      ['seen', [{ ...seen, value: 0 }], null],
      ['seen', [{ ...seen, value: -0.1 }], 'seen[0].value'],
      ['seen', [{ ...seen, value: 100 }], null],
      ['seen', [{ ...seen, value: 100.1 }], 'seen[0].value'],
      ['seen', [{ ...seen, value: undefined }], 'seen[0].value'],
      ['seen', [{ ...seen, more: 1 }], 'more is not known here'],
      ['seen', many(2 * TRIAL_ZONES.length, seen), null],
      ['seen', many(2 * TRIAL_ZONES.length + 1, seen), String(2 * TRIAL_ZONES.length)],
      ...touched,
      ...marks,
      ...[...SIDES, 'both'].map((side): Row => ['stings', side, null]),
      ['stings', 'nowhere', 'stings'],
    ],
  ],
]);

function product(part: object): object {
  return {
    aspect: 'product',
    stepId: ID,
    parts: [{ productId: ID, unitId: ID, pumps: 1, ...part }],
    doseFactor: 1,
  };
}
function school(answers: object): object {
  return { aspect: 'school', answers };
}

describe.each([
  ['hands', wearCheckInputSchema, { id: ID, version: 1, appliedAt: PUT_ON, at: AT, ...nothing }],
  ['the client', sendWearSchema, { token: TOKEN, id: ID, at: AT, ...nothing }],
] as const)('a look of %s with nothing seen', (_, schema, body) => {
  test.each(something)('%s %j', async (field, value, said) => {
    const told = await problems(schema, field === '' ? body : { ...body, [field]: value });
    if (said === null) expect(told).toEqual([]);
    else expect(told.join()).toContain(said);
  });
});

test.each(TRIAL_MEASURE_NAMES)('halves are equal in %s under the measure’s own margin', (measure) =>
  expect(marginOf(measure)).toBe(TRIAL_MEASURES[measure].margin),
);
