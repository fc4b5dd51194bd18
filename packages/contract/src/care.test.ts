import { CONSULT_QUESTIONS, KEPT_PHOTOGRAPHS, PATCH_PLACES, PATCH_RESULTS, PHOTO_LIGHTS } from '@toile/core';
import {
  CHARTS_OF_ERASED,
  eraseClientSchema,
  feedInputSchema,
  incidentInputSchema,
  intakeInputSchema,
  openIntakeSchema,
  sendIntakeSchema,
  settleIntakeSchema,
} from './care';
import { AT, ID, letters, many, tryForms, type Row } from './forms.testing';
import { patchTestInputSchema } from './patchTest';
import { photographInputSchema } from './photograph';

const SECRET = letters(32);
const TOKEN = `${ID}.${SECRET}`;
const token: Row[] = [
  ['token', undefined, 'The link is not whole'],
  ['token', '', 'The link is not whole'],
  ['token', letters(201), 'At most 200 letters'],
];
const secret: Row[] = [
  ['secret', undefined, 'required'],
  ['secret', letters(31), 'is not a secret of 32 letters'],
];
const HEALTH = CONSULT_QUESTIONS.filter(({ health }) => health).map(({ key }) => key);
const LATER = '2031-05-16T07:30:00Z';
const reading = { at: LATER, result: 'clear', note: '' };
const tap = [120, 80];
const TAPS = { pupil_right: tap, pupil_left: tap, gnathion: tap };

tryForms([
  [
    'a link for a first talk',
    intakeInputSchema,
    { id: ID, secret: SECRET },
    [['id', undefined, 'required'], ...secret],
  ],
  ['a first talk opened', openIntakeSchema, { token: TOKEN }, token],
  [
    'a first talk sent',
    sendIntakeSchema,
    { token: TOKEN, answers: { usual: 'Little' } },
    [
      ...token,
      ['answers', undefined, 'Answer something first'],
      ['answers', 'little', 'answers'],
      ['answers', { hours: 'all day' }, 'answers.hours'],
      // What was said of health is kept with consent alone, each of it.
      ...HEALTH.map((key): Row => ['answers', { [key]: '' }, `answers.${key}`]),
      [
        'answers',
        { conditions: 'dry patches' },
        'Words on health are kept only with consent: say yes to that first',
      ],
      ['answers', { conditions: 'dry patches', keepHealth: false }, 'Words on health'],
      ['answers', { conditions: 'dry patches', keepHealth: true }, null],
    ],
  ],
  [
    'an answer taken over or set aside',
    settleIntakeSchema,
    { key: 'usual', taken: true },
    [
      ...CONSULT_QUESTIONS.map(({ key }): Row => ['key', key, null]),
      ['key', undefined, 'Say which answer'],
      ['key', 'shoes', 'Say which answer'],
      ['taken', undefined, 'Say whether it is taken over'],
    ],
  ],
  [
    'something that went wrong',
    incidentInputSchema,
    { id: ID, on: '2031-05-13', seen: 'Red lids', done: 'Taken off', chartId: ID, suspected: [ID] },
    [
      ['id', undefined, 'required'],
      ['on', undefined, 'Choose a day'],
      ['on', '2031-02-30', 'A date, as 2031-05-14'],
      ['seen', ' ', 'Say what was seen or felt, in plain words'],
      ['seen', letters(1000), null],
      ['seen', letters(1001), 'At most 1000 letters'],
      ['done', letters(4000), null],
      ['done', letters(4001), 'At most 4000 letters'],
      ['chartId', null, null],
      ['chartId', 'x', 'must be a UUID'],
      ['suspected', many(40, ID), null],
      ['suspected', many(41, ID), 'At most 40'],
      ['suspected', ['x'], 'must be a UUID'],
    ],
  ],
  [
    'somebody taken out of the records',
    eraseClientSchema,
    { name: 'Ilse Moor', charts: 'gone too' },
    [
      ['name', '', 'Write the name, as it stands above'],
      ['name', undefined, 'Write the name, as it stands above'],
      ...CHARTS_OF_ERASED.map((charts): Row => ['charts', charts, null]),
      ['charts', undefined, 'Say what becomes of the charts'],
      ['charts', 'burnt', 'Say what becomes of the charts'],
    ],
  ],
  ['a calendar by link', feedInputSchema, { secret: SECRET }, secret],
  [
    'a patch test',
    patchTestInputSchema,
    {
      id: ID,
      productId: ID,
      unitId: null,
      place: 'inner arm',
      plannedFor: '2031-05-14',
      laidAt: AT,
      readings: [reading],
      note: '',
    },
    [
      ['id', undefined, 'required'],
      ['productId', undefined, 'Choose a product'],
      ['unitId', ID, null],
      ['unitId', 'x', 'must be a UUID'],
      ...PATCH_PLACES.map((place): Row => ['place', place, null]),
      ['place', undefined, 'Say where it is laid'],
      ['place', 'eyelid', 'Say where it is laid'],
      ['plannedFor', undefined, 'Choose a day'],
      ['plannedFor', '', 'Choose a day'],
      ['plannedFor', '2031-04-31', 'A date, as 2031-05-14'],
      ['laidAt', '2031-05-14T25:00:00Z', 'an instant in UTC'],
      ['readings', many(12, reading), null],
      ['readings', many(13, reading), 'At most 12 readings'],
      ['readings', [{ ...reading, at: AT }], null],
      [
        'readings',
        [{ ...reading, at: '2031-05-14T07:29:59Z' }],
        'readings[0].at: It is read after it was laid',
      ],
      [
        'readings',
        [reading, { ...reading, at: '2031-05-14T07:29:59Z' }],
        'readings[1].at: It is read after it was laid',
      ],
      ['readings', [{ ...reading, result: undefined }], 'Say what was seen'],
      ['readings', [{ ...reading, result: 'eczema' }], 'readings[0].result: Say what was seen'],
      ...PATCH_RESULTS.map((result): Row => ['readings', [{ ...reading, result }], null]),
      ['readings', [{ ...reading, note: letters(4001) }], 'At most 4000 letters'],
      ['readings', [{ ...reading, at: undefined }], 'readings[0].at'],
      ['readings', [{ ...reading, seen: 1 }], 'seen is not known here'],
      ['readings', 'clear', 'readings'],
      ['note', letters(4000), null],
      ['note', letters(4001), 'At most 4000 letters'],
    ],
  ],
  [
    'a patch test only planned',
    patchTestInputSchema,
    { id: ID, productId: ID, place: 'jaw', plannedFor: '2031-05-14' },
    [['readings', [reading], 'readings[0].at: It is read after it was laid']],
  ],
  [
    'a photograph',
    photographInputSchema,
    {
      id: ID,
      at: AT,
      light: 'daylight',
      taps: TAPS,
      bare: null,
      picture: 'aGVsbG8=',
    },
    [
      ['id', undefined, 'required'],
      ['at', undefined, 'Say when it was taken'],
      ['at', 'today', 'an instant in UTC'],
      ...PHOTO_LIGHTS.map((light): Row => ['light', light, null]),
      ['light', undefined, 'Say by which light'],
      ['light', 'candle', 'Say by which light'],
      ['taps', undefined, 'taps'],
      ['taps.gnathion', undefined, 'taps.gnathion'],
      ['taps.gnathion', [1], 'taps.gnathion'],
      ['taps.pupil_left', [20_000, -20_000], null],
      ['taps.pupil_left', [20_001, 0], 'taps.pupil_left'],
      ['taps.pupil_left', [0, -20_001], 'taps.pupil_left'],
      ['taps', { ...TAPS, ear: tap }, 'ear is not known here'],
      ['bare', tap, null],
      ['bare', undefined, 'bare'],
      ['picture', undefined, 'Choose a picture'],
      ['picture', '', 'Choose a picture'],
      ['picture', 'aGVsbG8', null],
      ['picture', 'aGVsb===', 'a JPEG in base64'],
      ['picture', 'data:image/jpeg;base64,aGVsbG8=', 'a JPEG in base64'],
      ['picture', 'aGVsbG8= ', 'a JPEG in base64'],
      ['picture', 'A'.repeat(Math.ceil(KEPT_PHOTOGRAPHS.bytes / 3) * 4), null],
      ['picture', 'A'.repeat(Math.ceil(KEPT_PHOTOGRAPHS.bytes / 3) * 4 + 1), 'save it smaller'],
    ],
  ],
]);
