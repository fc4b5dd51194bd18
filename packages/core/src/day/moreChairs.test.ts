import { changedPlan, newPlan, type PartyPlan } from '.';

const PLAN = newPlan('morning', { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' });
const more = (plan: PartyPlan, chair: 'makeup' | 'hair' = 'makeup'): PartyPlan =>
  changedPlan(plan, { kind: 'chair', place: 'home', chair });
const idsOf = (plan: PartyPlan): string[] => plan.chairs.map(({ id }) => id);

test('a chair more has an id nobody has, and the number after the others of its kind', () => {
  const [one, two] = [more(PLAN), more(more(PLAN))];
  expect(idsOf(one).slice(0, PLAN.chairs.length)).toEqual(idsOf(PLAN));
  expect(idsOf(one).at(-1)).toBe(`chair-${PLAN.chairs.length + 1}`);
  expect(new Set(idsOf(two)).size).toBe(PLAN.chairs.length + 2);
  expect(two.chairs.slice(-2).map(({ name, kind }) => [name, kind])).toEqual([
    ['Chair 3', 'makeup'],
    ['Chair 4', 'makeup'],
  ]);
  expect(more(PLAN, 'hair').chairs.at(-1)).toMatchObject({ name: 'Hair chair 2', kind: 'hair' });
});

test('an id that is taken is passed over, whoever was taken out before', () => {
  const gap: PartyPlan = { ...PLAN, chairs: PLAN.chairs.slice(1) };
  const taken: PartyPlan = {
    ...gap,
    chairs: [...gap.chairs, { ...gap.chairs[0]!, id: `chair-${gap.chairs.length + 2}` }],
  };
  for (const plan of [gap, taken]) {
    const ids = idsOf(more(more(plan)));
    expect(new Set(ids).size).toBe(ids.length);
  }
});

test('where every chair is for anything, so is the new one', () => {
  const any: PartyPlan = { ...PLAN, chairs: PLAN.chairs.map((chair) => ({ ...chair, kind: 'any' })) };
  expect(more(any, 'hair').chairs.at(-1)!.kind).toBe('any');
});
