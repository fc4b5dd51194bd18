import { EVENT_KINDS, MOST_STEPS, SKIN_ZONES, TOOLS } from '@toile/core';
import { compactInputSchema } from './compact';
import { AT, ID, letters, many, problems, tryForms, type Row } from './forms.testing';
import { paletteInputSchema, substitutionSchema } from './kit';
import { LESSON_DAYS, lessonLinkInputSchema, lessonPath, lessonRenewalSchema } from './lesson';
import { newSecret, SHARE_DAYS, shareInputSchema, sharePath } from './share';
import {
  chairEventSchema,
  importChartSchema,
  importLooksSchema,
  MOST_LOOK_FILES,
  newChartSchema,
  newLookSchema,
  newVersionSchema,
  readingInputSchema,
  retireLookSchema,
  sampleRequestSchema,
} from './work';

const SECRET = letters(32);
const skin = [58, 12, 18];
const version: Row[] = [
  ['version', undefined, 'version'],
  ['version', 0, 'greater than or equal to 1'],
  ['version', 1, null],
  ['version', 1.5, 'integer'],
];
const secret: Row[] = [
  ['secret', undefined, 'required'],
  ['secret', letters(33), 'is not a secret of 32 letters'],
];
const extra = { name: 'birthmark', beside: 'cheek', samples: [skin] };
const pan = { paletteId: ID, row: 0, column: 11 };
const part = { productId: ID, unitId: ID, pumps: 1 };
const file = { name: 'one.json', text: '{}' };
const tin = (rows: number) => ({ palette: { id: ID, name: 'Eyes', rows, columns: 12, pans: [] } });

tryForms([
  [
    'a skin reading',
    readingInputSchema,
    { id: ID, at: AT, source: 'typed', zones: { cheek: [skin] }, extras: [extra] },
    [
      ['id', undefined, 'required'],
      ['at', undefined, 'required'],
      ['at', '2031-02-29T09:00:00Z', 'an instant in UTC'],
      ...['reader', 'typed', 'import'].map((source): Row => ['source', source, null]),
      ['source', 'guessed', 'source'],
      ['source', undefined, 'source'],
      ...SKIN_ZONES.map((zone): Row => ['zones', { [zone]: [skin] }, null]),
      ['zones', {}, 'Read at least one zone'],
      ['zones', { ear: [skin] }, 'ear is not a zone'],
      ['zones', { cheek: [] }, 'At least one sample'],
      ['zones', { cheek: many(40, skin) }, null],
      ['zones', { cheek: many(41, skin) }, 'At most 40 samples'],
      ['zones', { cheek: [[58, 12]] }, 'Three numbers: L*, a* and b*'],
      ['zones', { cheek: ['beige'] }, 'Three numbers: L*, a* and b*'],
      ['zones', { cheek: [[58, 12, Number.NaN]] }, 'Three numbers: L*, a* and b*'],
      ['zones', { cheek: [[58, '12', 18]] }, 'Three numbers: L*, a* and b*'],
      ['zones', { cheek: [[97, 12, 18]] }, 'No skin has this colour'],
      ['zones', { cheek: [[58, -20, 18]] }, 'No skin has this colour'],
      ['extras', many(20, extra), null],
      ['extras', many(21, extra), 'At most 20 places'],
      ['extras', [{ ...extra, name: ' ' }], 'Name the place'],
      ['extras', [{ ...extra, name: letters(60) }], null],
      ['extras', [{ ...extra, name: letters(61) }], 'At most 60 letters'],
      ['extras', [{ ...extra, beside: undefined }], 'Say which zone it lies in'],
      ['extras', [{ ...extra, beside: 'ear' }], 'extras[0].beside: Say which zone it lies in'],
      ['extras', [{ ...extra, samples: undefined }], 'extras[0].samples'],
      ['extras', [{ ...extra, samples: [[97, 12, 18]] }], 'No skin has this colour'],
      ['extras', [{ ...extra, more: 1 }], 'more is not known here'],
    ],
  ],
  [
    'something told of a step',
    chairEventSchema,
    { id: ID, version: 1, stepId: ID, kind: 'done', at: AT, device: 'Phone', seen: null, settles: [ID] },
    [
      ['id', undefined, 'required'],
      ['stepId', undefined, 'required'],
      ...version,
      ...EVENT_KINDS.filter((kind) => kind !== 'deviation').map((kind): Row => ['kind', kind, null]),
      ['kind', 'lost', 'kind'],
      ['kind', undefined, 'kind'],
      ['at', undefined, 'required'],
      ['at', '2031-05-14T07:61:00Z', 'an instant in UTC'],
      ['device', letters(60), null],
      ['device', letters(61), 'At most 60 letters'],
      ['seen', ID, null],
      ['seen', undefined, null],
      ['seen', 'x', 'must be a UUID'],
      ['sitting', ID, null],
      ['sitting', 'x', 'must be a UUID'],
      ['settles', many(20, ID), null],
      ['settles', many(21, ID), 'At most 20 at once'],
      ['settles', ['x'], 'must be a UUID'],
    ],
  ],
  [
    'something done otherwise',
    chairEventSchema,
    {
      id: ID,
      version: 1,
      stepId: ID,
      kind: 'deviation',
      at: AT,
      deviation: { kind: 'amount', measures: 2, note: 'Tapped, not swept' },
    },
    [
      ['deviation', undefined, 'Say what was different'],
      ['deviation', { kind: 'amount', measures: 'two', note: '' }, 'deviation'],
      ['deviation', 'tapped', 'deviation'],
    ],
  ],
  [
    'looks out of files',
    importLooksSchema,
    { files: [file] },
    [
      ['files', undefined, 'Choose a file'],
      ['files', [], 'Choose a file'],
      ['files', many(MOST_LOOK_FILES, file), null],
      ['files', many(MOST_LOOK_FILES + 1, file), `At most ${MOST_LOOK_FILES} files at once`],
      ['files', [{ ...file, name: '' }], 'Say which file it is'],
      ['files', [{ ...file, name: letters(200) }], null],
      ['files', [{ ...file, name: letters(201) }], 'At most 200 letters'],
      ['files', [{ ...file, text: '' }], 'The file is empty'],
      ['files', [{ ...file, text: letters(2_000_001) }], 'The file is too large to be a look'],
      ['files', [{ ...file, more: 1 }], 'more is not known here'],
    ],
  ],
  [
    'a look retired',
    retireLookSchema,
    { retired: true },
    [['retired', undefined, 'Say whether it is retired']],
  ],
  [
    'a link to a chart',
    shareInputSchema,
    { id: ID, version: 1, secret: SECRET, days: 7, cautions: false },
    [
      ['id', undefined, 'required'],
      ...version,
      ['version', undefined, 'Say which version is shown'],
      ...secret,
      ...SHARE_DAYS.map((days): Row => ['days', days, null]),
      ['days', 2, 'one of 1, 7, 30'],
      ['days', undefined, 'required'],
      ['cautions', undefined, null],
    ],
  ],
  [
    'a link to a lesson',
    lessonLinkInputSchema,
    { id: ID, version: 1, minutes: 20, keep: [ID], tools: null, secret: SECRET, days: 30 },
    [
      ['id', undefined, 'required'],
      ...version,
      ...secret,
      ['minutes', 0, 'At least a minute'],
      ['minutes', 1, null],
      ['minutes', 1.5, 'integer'],
      ['minutes', 180, null],
      ['minutes', 181, 'At most three hours'],
      ['minutes', undefined, 'required'],
      ['keep', [], 'Keep at least one step'],
      ['keep', ['x'], 'must be a UUID'],
      ['keep', undefined, 'required'],
      ['keep', many(MOST_STEPS, ID), null],
      ['keep', many(MOST_STEPS + 1, ID), String(MOST_STEPS)],
      ['tools', [...TOOLS], null],
      ['tools', ['hammer'], 'not a tool'],
      ['tools', many(TOOLS.length + 1, TOOLS[0]), String(TOOLS.length)],
      ...LESSON_DAYS.map((days): Row => ['days', days, null]),
      ['days', 7, 'one of 30, 180, 0'],
      ['days', undefined, 'required'],
    ],
  ],
  ['a lesson moved on', lessonRenewalSchema, { version: 2 }, version],
  [
    'a palette',
    paletteInputSchema,
    { palette: { id: ID, name: 'Eyes', rows: 2, columns: 12, pans: [] } },
    [
      ['palette', undefined, 'required'],
      ['palette', { name: 'Eyes' }, 'A palette has a name, 1 to 12 rows and columns, and pans'],
      [
        'palette',
        {
          id: ID,
          name: 'Eyes',
          rows: 2,
          columns: 2,
          pans: many(2, { row: 0, column: 0, productId: ID }),
        },
        'palette: ',
      ],
      [
        'palette',
        { id: ID, name: 'Eyes', rows: 2, columns: 2, pans: [{ row: 2, column: 0, productId: ID }] },
        'palette: ',
      ],
    ],
  ],
  [
    'a substitute',
    substitutionSchema,
    { chartIds: [ID], parts: [part], doseFactor: 1, reason: '' },
    [
      ['chartIds', [], 'Choose at least one chart'],
      ['chartIds', undefined, 'required'],
      ['chartIds', ['x'], 'must be a UUID'],
      ['chartIds', many(500, ID), null],
      ['chartIds', many(501, ID), 'At most 500 charts at once'],
      ['parts', [], 'At least one product'],
      ['parts', undefined, 'required'],
      ['parts', many(3, part), null],
      ['parts', many(4, part), 'At most three products'],
      ['parts', [{ ...part, pumps: 0 }], 'At least 1'],
      ['parts', [{ ...part, pumps: 12 }], null],
      ['parts', [{ ...part, pumps: 13 }], 'At most 12'],
      ['parts', [{ ...part, pumps: 1.5 }], 'integer'],
      ['parts', [{ ...part, productId: 'x' }], 'must be a UUID'],
      ['parts', [{ ...part, unitId: undefined }], 'parts[0].unitId'],
      ['parts', [{ ...part, more: 1 }], 'more is not known here'],
      ['doseFactor', 0.1, null],
      ['doseFactor', 0.09, 'doseFactor'],
      ['doseFactor', 10, null],
      ['doseFactor', 10.1, 'doseFactor'],
      ['reason', letters(2000), null],
      ['reason', letters(2001), 'At most 2000 letters'],
    ],
  ],
]);

/** Bodies that hold a whole document: that it is looked at at all; what is whole is its schema's to try. */
describe.each([
  ['a chart', newChartSchema, 'chart', { visitId: null }],
  ['a version', newVersionSchema, 'chart', { parent: 1, reason: '' }],
  ['a look', newLookSchema, 'look', {}],
  ['a compact', compactInputSchema, 'compact', { version: 1 }],
] as const)('%s', (_, schema, field, rest) => {
  test.each([
    [undefined, 'required'],
    ['none', ''],
    [{}, ''],
    [tin(0), ''],
  ])('is whole: %j is none', async (document, said) => {
    const told = await problems(schema, { ...rest, [field]: document });
    const own = told.filter((one) => one.startsWith(field));
    expect(own).not.toEqual([]);
    expect(own.join()).toContain(said);
  });
});

test.each<[string, unknown, string]>([
  ['parent', undefined, 'Say which version this starts from'],
  ['parent', 0, 'greater than or equal to 1'],
  ['parent', 1.5, 'integer'],
  ['reason', letters(4001), 'At most 4000 letters'],
  ['misspelt', 1, 'misspelt is not known here'],
])('a version with %s %j', async (field, value, said) => {
  const told = await problems(newVersionSchema, { parent: 1, reason: letters(4000), [field]: value });
  expect(told.join('\n')).toContain(said);
  expect(told.join('\n').includes('4000')).toBe(field === 'reason');
});
test.each<[string, unknown, string]>([
  ['visitId', 'x', 'must be a UUID'],
  ['misspelt', 1, 'misspelt is not known here'],
])('a chart with %s %j', async (field, value, said) =>
  expect((await problems(newChartSchema, { [field]: value })).join('\n')).toContain(said),
);
test.each<[object, string]>([
  [{ text: '' }, 'Choose a file'],
  [{}, 'Choose a file'],
  [{ text: letters(2_000_001) }, 'The file is too large to be a chart'],
  [{ text: '{}', more: 1 }, 'more'],
])('a chart’s file', async (body, said) =>
  expect((await problems(importChartSchema, body)).join()).toContain(said),
);
test('a chart’s file may be large', async () =>
  expect(await problems(importChartSchema, { text: letters(2_000_000) })).toEqual([]));

describe('what the reader is held to', () => {
  test.each([
    [{ clientId: ID, zone: 'cheek' }],
    [{ clientId: ID, zone: 'cheek', spot: true }],
    [{ pan }],
    [{ productId: ID }],
  ])('%j is one thing', async (body) => expect(await problems(sampleRequestSchema, body)).toEqual([]));

  test.each([
    [{}, 'Hold the reader to skin, to a pan or to a product'],
    [{ zone: 'cheek' }, 'Hold the reader to skin'],
    [{ clientId: ID, zone: 'cheek', pan }, 'Hold the reader to skin'],
    [{ clientId: ID, zone: 'cheek', productId: ID }, 'Hold the reader to skin'],
    [{ pan, productId: ID }, 'Hold the reader to skin'],
    [{ clientId: ID }, 'Choose a zone'],
    [{ clientId: ID, zone: 'ear' }, 'zone'],
    [{ clientId: 'x', zone: 'cheek' }, 'must be a UUID'],
    [{ productId: 'x' }, 'must be a UUID'],
    [{ pan: { ...pan, row: -1 } }, 'pan.row'],
    [{ pan: { ...pan, column: 12 } }, 'pan.column'],
    [{ pan: { ...pan, row: 0.5 } }, 'pan.row'],
    [{ pan: { row: 0, column: 0 } }, 'pan.paletteId'],
    [{ pan: { ...pan, more: 1 } }, 'more'],
    [{ productId: ID, more: 1 }, 'more'],
  ])('%j is refused', async (body, said) =>
    expect((await problems(sampleRequestSchema, body)).join('\n')).toContain(said),
  );
});

test('a secret is 32 letters that stand in an address, and none is made twice', () => {
  const made = Array.from({ length: 400 }, newSecret);
  for (const one of made) expect(one).toMatch(/^[A-Za-z0-9_-]{32}$/);
  expect(new Set(made).size).toBe(made.length);
  expect(made.join('')).toMatch(/_/);
  expect(made.join('')).toMatch(/-/);
  expect(sharePath(ID, SECRET)).toBe(`/s/${ID}.${SECRET}`);
  expect(lessonPath(ID, SECRET)).toBe(`/l/${ID}.${SECRET}`);
});
