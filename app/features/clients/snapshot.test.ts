import { PLAIN_FEATURES } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { notedNow, snapshotOfClient } from './snapshot';
import { todayText } from '../words/dates';

const client = (more: Partial<ClientAnswer> = {}): ClientAnswer => ({
  id: '0190a000-0000-7000-8000-000000000001',
  revision: 1,
  name: 'Ilse Moor',
  contact: null,
  birthYear: null,
  guardianConsent: '',
  sensitivities: [],
  notes: '',
  features: PLAIN_FEATURES,
  measurements: {},
  taps: {},
  likeness: null,
  consult: {},
  incidents: [],
  readings: [],
  charts: [],
  visits: [],
  patchTests: [],
  ...more,
});
const thisYear = Number(todayText().slice(0, 4));

test('a child by the year of birth is one in what a chart remembers, and in what is minded of an older chart', () => {
  for (const [birthYear, age] of [
    [thisYear - 12, 'child'],
    [thisYear - 13, PLAIN_FEATURES.age],
    [thisYear - 40, PLAIN_FEATURES.age],
    [null, PLAIN_FEATURES.age],
  ] as const) {
    expect(snapshotOfClient(client({ birthYear })).features.age).toBe(age);
    expect(notedNow(client({ birthYear })).features.age).toBe(age);
  }
});
