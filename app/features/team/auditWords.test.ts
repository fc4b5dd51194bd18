import { ROUTES } from '@toile/contract';
import { doneInWords } from './auditWords';

test('every write is told in words of its own, nothing of how it is sent; what is done no more by its name', () => {
  const writes = Object.entries(ROUTES).flatMap(([name, { method }]) => (method === 'GET' ? [] : [name]));
  const words = writes.map(doneInWords);
  expect(new Set(words).size).toBe(writes.length);
  for (const [i, told] of words.entries()) {
    expect(told).not.toBe(writes[i]);
    expect(told).toMatch(/^[A-Z]/);
    expect(told).not.toMatch(/If-Match|\b(?:header|body|route|token)\b/i);
  }
  expect(doneInWords('bookSeance')).toBe('bookSeance');
  expect(doneInWords('toString')).toBe('toString');
});
