import type { Kit, Product } from '@toile/core';
import type { VisitAnswer } from '@toile/contract';
import { demo } from './testServer';
import { whatIsDue, type ClientCare } from '../src/today/due';

const TODAY = '2031-05-14';
const visit = (clientId: string): VisitAnswer => ({
  id: clientId,
  clientId,
  clientName: '',
  kind: 'trial',
  date: TODAY,
  startsAt: '09:00',
  readyBy: null,
  place: '',
  partyId: null,
  chartId: null,
  revision: 1,
  state: 'booked',
  reason: '',
  occasion: null,
});
const person = (id: string, more: Partial<ClientCare> = {}): ClientCare => ({
  id,
  name: id,
  sensitivities: [],
  lastRead: new Date(`${TODAY}T07:00:00Z`),
  ...more,
});
const product: Product = { ...demo.products[0]!, monthsAfterOpening: 12 };
const kit = (...openedOn: (string | null)[]): Kit => ({
  products: [product],
  units: openedOn.map((on, i) => ({
    id: String(i),
    productId: product.id,
    openedOn: on,
    remainingMg: 1,
    place: '',
  })),
});

test('nothing is due when all is fresh', () =>
  expect(whatIsDue(TODAY, [visit('ada')], [person('ada')], kit('2031-01-01', null))).toEqual([]));

test('only people with a visit coming are minded', () => {
  expect(whatIsDue(TODAY, [], [person('ada', { sensitivities: ['latex'], lastRead: null })], kit())).toEqual(
    [],
  );
});

test('patch tests, old and missing readings, with whom they concern', () => {
  const due = whatIsDue(
    TODAY,
    [visit('ada'), visit('bo'), visit('cy')],
    [
      person('ada', { sensitivities: ['latex'] }),
      person('bo', { lastRead: new Date('2031-04-20T12:00:00Z') }),
      person('cy', { lastRead: null }),
    ],
    kit(),
  );
  expect(due).toEqual([
    { kind: 'patch test', words: 'ada: ask for the patch test result (latex)', clientId: 'ada' },
    { kind: 're-read', words: 'bo: skin last read 24 days ago', clientId: 'bo' },
    { kind: 're-read', words: 'cy: skin not read yet', clientId: 'cy' },
  ]);
});

test.each([
  ['2031-04-30', false],
  ['2031-04-29', true],
])('a reading of %s is old: %s', (date, old) => {
  const due = whatIsDue(
    TODAY,
    [visit('ada')],
    [person('ada', { lastRead: new Date(`${date}T12:00:00Z`) })],
    kit(),
  );
  expect(due.length === 1).toBe(old);
});

test('units past their date and near it are counted, one and many', () => {
  const words = (...opened: (string | null)[]): string[] =>
    whatIsDue(TODAY, [], [], kit(...opened)).map((d) => d.words);
  expect(words('2029-01-01')).toEqual(['1 unit is past the shelf life after opening']);
  expect(words('2029-01-01', '2029-02-01', '2030-06-01')).toEqual([
    '2 units are past the shelf life after opening',
    '1 unit runs out of shelf life within 30 days',
  ]);
});
