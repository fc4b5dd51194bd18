import { readdirSync } from 'node:fs';
import path from 'node:path';
import { ACTIONS, findIn } from './findView';

const SOURCES = {
  clients: [{ id: '1', name: 'Søla Vestergård' }],
  looks: [
    { id: '2', name: 'Harbour Morning', description: 'Soft bridal: lifted cheek' },
    { id: '3', name: 'Lamplight', description: 'A stronger eye than Harbour Morning' },
  ],
  products: Array.from({ length: 9 }, (_, i) => ({
    id: `p${i}`,
    maker: 'Fennel & Rook',
    line: 'Veil',
    shade: `V${i}`,
    kind: 'base' as const,
    texture: 'liquid' as const,
    finish: 'natural' as const,
  })),
};
const titles = (words: string): string[] => findIn(words, SOURCES).map((one) => one.title);

test('nothing typed, nothing found', () => {
  expect(findIn('', SOURCES)).toEqual([]);
  expect(findIn('   ', SOURCES)).toEqual([]);
});

test('a place is found by what begins so, before what only holds the words', () => {
  expect(titles('kit').slice(0, 3)).toEqual(['Kit', 'Read the kit', 'Bring in a kit file']);
  expect(titles('add')[0]).toBe('Add a product');
});

test('case and accents do not matter, all words have to be there', () => {
  expect(titles('HARBOUR')).toContain('Harbour Morning');
  expect(titles('märning harbour')).not.toContain('Harbour Morning');
  expect(titles('mórning harbour')).toContain('Harbour Morning');
  expect(titles('harbour zebra')).not.toContain('Harbour Morning');
});

test('what begins so comes first among looks, what mentions it after', () => {
  expect(titles('harbour m').filter((t) => /Harbour|Lamp/.test(t))).toEqual(['Harbour Morning', 'Lamplight']);
});

test('clients stand as the studio found them, whatever was typed', () => {
  expect(findIn('sola', SOURCES)).toContainEqual({
    kind: 'client',
    title: 'Søla Vestergård',
    detail: 'client',
    href: '/clients/1',
  });
});

test('what begins so comes before what only holds it, of whatever kind', () => {
  const found = titles('har');
  expect(found.indexOf('Harbour Morning')).toBeLessThan(found.indexOf('Import a chart'));
  expect(titles('morn')[0]).toBe('Harbour Morning');
});

test('at most six of a kind; products are found by maker, line, shade and kind', () => {
  expect(titles('veil').filter((t) => t.startsWith('Veil'))).toHaveLength(6);
  expect(titles('rook v7')).toEqual(expect.arrayContaining(['Veil V7']));
  expect(titles('base v8')).toEqual(expect.arrayContaining(['Veil V8']));
});

test('every place has an address of its own and a word', () => {
  expect(new Set(ACTIONS.map((a) => a.href)).size).toBe(ACTIONS.length);
  for (const { title, href } of ACTIONS) {
    expect(title).not.toBe('');
    expect(href).toMatch(/^\//);
  }
});

test('products are found by what people call their kind', () => {
  for (const words of ['foundation v3', 'Foundations veil 3', 'liquid foundation v3'])
    expect([words, titles(words)]).toEqual([words, expect.arrayContaining(['Veil V3'])]);
  expect(titles('lipstick').filter((title) => title.startsWith('Veil'))).toEqual([]);
});

/** Gone to by a link alone, or there only while the app is worked on. */
const NOT_GONE_TO = ['/intake', '/join', '/wear', '/gallery'];
/** Pages without anybody’s or anything’s own address. */
test('every page that can be gone to by itself is found, by its own words', () => {
  const pages = readdirSync(path.join(__dirname, '../../app'), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.tsx') && !/[[_+]/.test(file))
    .map((file) => `/${file.replace(/\.tsx$/, '').replace(/(^|\/)index$/, '')}`)
    .filter((href) => !NOT_GONE_TO.includes(href));
  expect(pages.length).toBeGreaterThan(20);
  expect(ACTIONS.map(({ href }) => href).sort()).toEqual(pages.sort());
  for (const { title } of ACTIONS) expect([title, titles(title)[0]]).toEqual([title, title]);
});

test.each([
  ['import', '/import', '/kit/import', '/looks/import'],
  ['dark', '/settings'],
  ['password', '/settings'],
  ['wedding', '/parties/new'],
  ['booking', '/clients/enquiry'],
  ['trial', '/trials'],
  ['invitations', '/team'],
])('%s leads there', (words, ...hrefs) => {
  const led = findIn(words, { clients: [], looks: [], products: [] }).map(({ href }) => href);
  expect(led.sort()).toEqual([...hrefs].sort());
});
