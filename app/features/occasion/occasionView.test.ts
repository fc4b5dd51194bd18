import { isAsked, usualConditions, usualOccasion, type Occasion } from '@toile/core';
import type { VisitAnswer } from '@toile/contract';
import {
  comingVisit,
  findingsChanged,
  occasionErrors,
  occasionOfVisit,
  occasionToRepeat,
  ofAnotherKind,
  withHoursSaid,
} from './occasionView';

const TODAY = '2031-05-14';
const visit = (more: Partial<VisitAnswer> = {}): VisitAnswer => ({
  id: 'v',
  clientId: 'c',
  clientName: 'Ilse Moor',
  kind: 'wedding',
  date: '2031-05-20',
  startsAt: '09:00',
  readyBy: '11:30',
  place: 'Quay',
  partyId: null,
  chartId: null,
  revision: 1,
  state: 'booked',
  reason: '',
  occasion: null,
  partyOccasion: null,
  bookedOn: TODAY,
  runUp: [],
  ...more,
});
const asked: Occasion = {
  ...usualOccasion('wedding', '2031-05-20'),
  asked: true,
  begins: '11:30',
  ends: '23:30',
  hoursToLast: 12,
  conditions: ['rain'],
  metal: 'gold',
};

test('the coming visit is the first that stands, today counted', () => {
  const all = [
    visit({ date: '2031-05-13' }),
    visit({ date: TODAY, state: 'cancelled' }),
    visit({ id: 'next', date: TODAY }),
  ];
  expect(comingVisit(all, TODAY)?.id).toBe('next');
  expect(comingVisit(all, '2031-05-15')).toBeUndefined();
});

test('a visit nobody asked about is what is usual of its kind, ready when and where it is booked', () => {
  const of = occasionOfVisit(visit(), TODAY);
  expect(of).toMatchObject({ kind: 'wedding', date: '2031-05-20', begins: '11:30', place: 'Quay' });
  expect(isAsked(of)).toBe(false);
  expect(occasionOfVisit(undefined, TODAY)).toEqual(usualOccasion('trial', TODAY));
});

test('what was asked moves with its visit; for something else it has to be asked anew', () => {
  expect(occasionOfVisit(visit({ occasion: asked }), TODAY)).toEqual(asked);
  expect(occasionOfVisit(visit({ occasion: asked, readyBy: null, date: '2031-06-01' }), TODAY)).toEqual({
    ...asked,
    date: '2031-06-01',
  });
  const later = occasionOfVisit(visit({ occasion: asked, readyBy: '15:30' }), TODAY);
  expect(later).toMatchObject({ begins: '15:30', hoursToLast: 8, asked: true, conditions: ['rain'] });
  const gala = occasionOfVisit(visit({ occasion: asked, kind: 'gala' }), TODAY);
  expect(gala).toMatchObject({ kind: 'gala', asked: false, metal: 'gold', hoursToLast: 12 });
  expect(gala.conditions).toEqual(usualConditions('gala'));
});

test('a repeat is for what was said of the coming visit, else as worn and not asked about yet', () => {
  expect(occasionToRepeat(asked, undefined, TODAY)).toEqual({ ...asked, date: TODAY, asked: false });
  const other = { ...asked, hoursToLast: 4 };
  expect(occasionToRepeat(asked, visit({ occasion: other, readyBy: null }), TODAY)).toEqual(other);
  expect(occasionToRepeat(asked, visit({ readyBy: '10:00' }), TODAY)).toMatchObject({
    conditions: ['rain'],
    asked: false,
    begins: '10:00',
    date: '2031-05-20',
  });
  expect(occasionToRepeat(asked, visit({ kind: 'gala' }), TODAY).conditions).toEqual(usualConditions('gala'));
});

test('another kind keeps what was said of times and clothes', () =>
  expect(ofAnotherKind(asked, 'trial')).toMatchObject({
    kind: 'trial',
    hoursToLast: 12,
    metal: 'gold',
    ends: '23:30',
  }));

test.each([
  ['2031-02-30', { date: 'Pick a day.' }],
  ['', { date: 'Pick a day.' }],
  ['2031-02-28', {}],
])('a day of %p: %j', (date, errors) => expect(occasionErrors({ ...asked, date })).toEqual(errors));

test('of two look-overs what came and what went, whatever the order of their steps', () => {
  const line = (rule: string, ...stepIds: string[]) => ({ rule, stepIds, message: rule });
  const [a, b, c] = [line('a', '1', '2'), line('b', '1'), line('b', '2')];
  expect(findingsChanged([a, b], [line('a', '2', '1'), c])).toEqual({ come: [c], gone: [b] });
});

test('what was said of a party holds for its visits on their day, until a visit says otherwise', () => {
  const said: Occasion = {
    ...usualOccasion('wedding', '2031-05-20'),
    hoursToLast: 13,
    asked: true,
    theme: 'sea',
  };
  const of = (more: Partial<VisitAnswer>) => occasionOfVisit(visit({ partyOccasion: said, ...more }), TODAY);
  expect(of({})).toMatchObject({
    hoursToLast: 13,
    theme: 'sea',
    asked: true,
    date: '2031-05-20',
    begins: '11:30',
  });
  expect(of({ date: '2031-05-21' }).date).toBe('2031-05-21');
  // A trial of the same party is another kind of day, which has to be asked about.
  expect(of({ kind: 'trial' })).toMatchObject({ asked: false, kind: 'trial' });
  const own: Occasion = { ...said, hoursToLast: 6 };
  expect(of({ occasion: own }).hoursToLast).toBe(6);
});

test('hours a client said hold for a day nobody was asked about, and never for a trial', () => {
  const wedding = usualOccasion('wedding', '2031-06-01');
  expect(withHoursSaid(wedding, 14).hoursToLast).toBe(14);
  expect(withHoursSaid(wedding, undefined)).toBe(wedding);
  expect(withHoursSaid({ ...wedding, asked: true }, 14).hoursToLast).toBe(wedding.hoursToLast);
  const trial = usualOccasion('trial', '2031-06-01');
  expect(withHoursSaid(trial, 14)).toBe(trial);
});
