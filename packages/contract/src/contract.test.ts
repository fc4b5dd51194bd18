import {
  clientFormSchema,
  clientInputSchema,
  ERRORS,
  importKitSchema,
  measurementsSchema,
  newId,
  paletteInputSchema,
  pathTo,
  problemOf,
  readingInputSchema,
  ROUTES,
  sampleRequestSchema,
  substitutionSchema,
  unitInputSchema,
} from '.';
import { PLAIN_FEATURES } from '@toile/core';
import { ValidationError, type Schema } from 'yup';

async function problemsOf(schema: Schema, value: unknown): Promise<Record<string, string>> {
  try {
    await schema.validate(value, { abortEarly: false });
    return {};
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return Object.fromEntries(error.inner.map((e) => [e.path ?? '', e.message]));
  }
}

test('every error has a status of its kind and a sentence', () => {
  for (const { status, title } of Object.values(ERRORS)) {
    expect(status).toBeGreaterThanOrEqual(400);
    expect(title).toMatch(/^[A-Z].*\.$/);
  }
  expect(problemOf('stale', { detail: 'x' })).toMatchObject({
    type: 'urn:toile:problem:stale',
    status: 409,
    detail: 'x',
  });
});

test('no two routes share method and path', () => {
  const all = Object.values(ROUTES).map((r) => `${r.method} ${r.path}`);
  expect(new Set(all).size).toBe(all.length);
});

test('paths are filled in and queries kept short', () => {
  expect(pathTo('client', { id: 'a/b' })).toBe('/api/clients/a%2Fb');
  expect(pathTo('listClients', {}, { query: 'Zoë', zone: undefined })).toBe('/api/clients?query=Zo%C3%AB');
  // @ts-expect-error -- an address with an id in it needs one
  expect(() => pathTo('client')).toThrow('id is missing');
});

test('a client form says what to do beside each field', async () => {
  expect(
    await problemsOf(clientFormSchema, { name: ' ', email: 'x', phone: 'call me', birthYear: 'ninety' }),
  ).toEqual({
    name: 'Write a name',
    email: 'This is not an email address',
    phone: 'Digits, spaces and + only',
    birthYear: 'A year, as 1994',
  });
  expect(
    await problemsOf(clientFormSchema, { name: 'Ilse Moor', email: '', phone: '', birthYear: '' }),
  ).toEqual({});
});

test('measurements are in millimetres, and empty fields were not taken', async () => {
  expect(await problemsOf(measurementsSchema, { faceLength: '18' })).toEqual({
    faceLength: expect.stringContaining('outside 130 to 230 mm'),
  });
  expect(await problemsOf(measurementsSchema, { faceLength: 'long' })).toEqual({
    faceLength: 'Face length is a number in millimetres',
  });
  expect(await problemsOf(measurementsSchema, { jawWidth: 140, cheekboneWidth: 110 })).toEqual({
    jawWidth: expect.stringContaining('swapped'),
  });
  expect(await measurementsSchema.validate({ faceLength: '', jawWidth: '104' })).toEqual({ jawWidth: 104 });
});

test('a client as written needs its features whole and knows every field', async () => {
  const good = { id: newId(), name: 'Ilse Moor', features: PLAIN_FEATURES, measurements: {} };
  expect(await problemsOf(clientInputSchema, good)).toEqual({});
  expect(
    await problemsOf(clientInputSchema, { ...good, features: { ...PLAIN_FEATURES, hair: 'blue' } }),
  ).toHaveProperty(['features.hair']);
  expect(
    Object.values(await problemsOf(clientInputSchema.strict(), { ...good, colour: 'red' })).join(),
  ).toContain('colour');
  expect(await problemsOf(clientInputSchema, { ...good, id: 'seven' })).toHaveProperty('id');
});

test('readings hold plausible skin and at least one zone', async () => {
  const good = { id: newId(), at: '2031-05-14T09:20:00Z', source: 'typed', zones: { cheek: [[60, 12, 18]] } };
  expect(await problemsOf(readingInputSchema, good)).toEqual({});
  expect(await problemsOf(readingInputSchema, { ...good, zones: {} })).toEqual({
    zones: 'Read at least one zone',
  });
  expect(await problemsOf(readingInputSchema, { ...good, zones: { cheek: [[60, -40, 18]] } })).toHaveProperty(
    ['zones.cheek[0]'],
  );
  expect(await problemsOf(readingInputSchema, { ...good, zones: { cheek: [[60, 'x', 18]] } })).toEqual({
    'zones.cheek[0]': 'Three numbers: L*, a* and b*',
  });
});

test('units are dated by real days and never hold less than nothing', async () => {
  const good = { id: newId(), productId: newId(), openedOn: null, remainingMg: 0, place: '' };
  expect(await problemsOf(unitInputSchema, good)).toEqual({});
  expect(await problemsOf(unitInputSchema, { ...good, openedOn: 'last May', remainingMg: -1 })).toEqual({
    openedOn: 'A date, as 2031-05-14',
    remainingMg: 'Not less than nothing',
  });
});

test('a palette has one pan a place', async () => {
  const palette = {
    id: newId(),
    name: 'Eyes',
    rows: 2,
    columns: 2,
    pans: [{ row: 0, column: 0, productId: newId() }],
  };
  expect(await problemsOf(paletteInputSchema, { palette })).toEqual({});
  const doubled = { ...palette, pans: [...palette.pans, { row: 0, column: 0, productId: newId() }] };
  expect(await problemsOf(paletteInputSchema, { palette: doubled })).toEqual({
    palette: expect.stringContaining('A1 holds two pans'),
  });
  expect(await problemsOf(paletteInputSchema, { palette: { ...palette, rows: 0 } })).toHaveProperty(
    'palette',
  );
});

test('the reader is held to skin or to a pan, never both or neither', async () => {
  const pan = { paletteId: newId(), row: 0, column: 0 };
  expect(await problemsOf(sampleRequestSchema, { clientId: newId(), zone: 'cheek', spot: true })).toEqual({});
  expect(await problemsOf(sampleRequestSchema, { pan })).toEqual({});
  expect(await problemsOf(sampleRequestSchema, { clientId: newId() })).toHaveProperty('zone');
  expect(
    Object.keys(await problemsOf(sampleRequestSchema, { clientId: newId(), zone: 'cheek', pan })),
  ).toHaveLength(1);
  expect(Object.keys(await problemsOf(sampleRequestSchema, {}))).toHaveLength(1);
  expect(await problemsOf(sampleRequestSchema, { productId: newId() })).toEqual({});
  for (const more of [{ pan }, { clientId: newId(), zone: 'cheek' }])
    expect(Object.keys(await problemsOf(sampleRequestSchema, { productId: newId(), ...more }))).toHaveLength(
      1,
    );
});

test('a substitution names charts and parts; a kit file its columns', async () => {
  const good = { chartIds: [newId()], parts: [{ productId: newId(), unitId: newId(), pumps: 1 }] };
  expect(await problemsOf(substitutionSchema, good)).toEqual({});
  expect(await problemsOf(substitutionSchema, { ...good, chartIds: [] })).toEqual({
    chartIds: 'Choose at least one chart',
  });
  expect(
    await problemsOf(substitutionSchema, { ...good, parts: [{ ...good.parts[0], pumps: -2 }] }),
  ).toHaveProperty(['parts[0].pumps']);
  expect(await problemsOf(importKitSchema, { text: 'a', mapping: { maker: 'a' } })).toEqual({});
  expect(await problemsOf(importKitSchema, { text: '', mapping: { colour: 'a' } })).toEqual({
    text: 'Choose a file',
    mapping: 'A header for each column',
  });
});
