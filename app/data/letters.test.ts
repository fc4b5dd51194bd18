import type { Mail } from '@toile/core';
import { draftsBelongTo, dropAllForms } from './drafts';
import { dropLetter, keepLetter, lettersHere } from './letters';

const mail = (n: number): Mail => ({
  from: { name: 'Reed and Rush', email: 'ines@reed.example' },
  to: { name: `Ada ${n}`, email: 'ada@post.example' },
  subject: 'A few questions',
  text: `Link ${n}`,
});
const letter = (n: number) => ({ id: `l${n}`, at: '2031-05-14T08:00:00Z', mail: mail(n) });

beforeEach(() => {
  localStorage.clear();
  draftsBelongTo(`someone-${Math.random()}@reed.example`);
});

test('newest first, one of a kind, fifty at most, and taken away one by one', () => {
  for (let n = 0; n < 60; n++) keepLetter(letter(n));
  keepLetter({ ...letter(59), id: 'again' });
  expect(lettersHere()).toHaveLength(50);
  expect(lettersHere()[0]!.id).toBe('again');
  expect(new Set(lettersHere().map(({ mail: { text } }) => text)).size).toBe(50);
  dropLetter('again');
  expect(lettersHere().map(({ id }) => id)).not.toContain('again');
});

test('they are their writer’s own: gone at sign-out, and unseen by who signs in next', () => {
  keepLetter(letter(1));
  dropAllForms();
  expect(lettersHere()).toEqual([]);
  keepLetter(letter(2));
  draftsBelongTo('next@reed.example');
  expect(lettersHere()).toEqual([]);
  expect(JSON.stringify({ ...localStorage })).not.toContain('Link 2');
});
