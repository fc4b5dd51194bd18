import { sameName } from './sameName';

test.each([
  ['Søla Vestergård', 'sola vestergard'],
  ['Isaura  Penhallow ', 'ISAURA PENHALLOW'],
  ['Penhallow, Isaura', 'Isaura Penhallow'],
  ['Anne-Marie O’Brien', "anne marie o'brien"],
])('%s and %s are one name', (one, other) => {
  expect(sameName(one, other)).toBe(true);
  expect(sameName(other, one)).toBe(true);
});

test.each([
  ['Isaura Penhallow', 'Isaura'],
  ['Isaura Penhallow', 'Morwenna Penhallow'],
  ['Ada', 'Adam'],
  ['', ''],
  [' ', '-'],
])('%j and %j are two', (one, other) => expect(sameName(one, other)).toBe(false));
