import { sheetSvg, type SheetOp } from '.';

const drawn = (...ops: readonly SheetOp[]): string =>
  sheetSvg({ title: 'T', width: 595.28, height: 841.894, ops }, { plain: '', bold: '' })
    .split('</style>')[1]!
    .replace('</svg>', '');
const path: SheetOp = { op: 'path', d: 'M0 0H9Z', fill: '#123456', opacity: 1 };

test('the page has its size in points and its title twice: to be seen and to be heard', () => {
  const svg = sheetSvg(
    { title: 'A < "B" > C & D', width: 595.276, height: 10, ops: [] },
    { plain: 'p', bold: 'b' },
  );
  expect(svg).toContain('width="595.28pt" height="10pt" viewBox="0 0 595.28 10"');
  expect(svg).toContain('aria-label="A &lt; &quot;B&quot; &gt; C &amp; D"');
  expect(svg).toContain('<title>A &lt; &quot;B&quot; &gt; C &amp; D</title>');
  expect(svg).toContain('font-weight:400;src:url(p)');
  expect(svg).toContain('font-weight:700;src:url(b)');
});

test('a path: filled or not, seen through or not, with a line round it or none', () => {
  expect(drawn(path)).toBe('<path d="M0 0H9Z" fill="#123456"/>');
  expect(drawn({ ...path, fill: null, opacity: 0.456 })).toBe(
    '<path d="M0 0H9Z" fill="none" opacity="0.46"/>',
  );
  expect(drawn({ ...path, stroke: '#000', strokeWidth: 0.25 })).toBe(
    '<path d="M0 0H9Z" fill="#123456" stroke="#000" stroke-width="0.25"/>',
  );
  expect(drawn({ ...path, stroke: '#000' })).toBe(
    '<path d="M0 0H9Z" fill="#123456" stroke="#000" stroke-width="1"/>',
  );
});

test('a text: plain or bold, from its left or about its middle', () => {
  const text = { op: 'text', x: 1.005, y: 2, size: 8.5, bold: false, fill: '#161616', text: 'a>b' } as const;
  expect(drawn(text)).toBe('<text x="1" y="2" font-size="8.5" fill="#161616">a&gt;b</text>');
  expect(drawn({ ...text, bold: true, middle: true })).toBe(
    '<text x="1" y="2" font-size="8.5" font-weight="700" text-anchor="middle" fill="#161616">a&gt;b</text>',
  );
});

test('a group is put at its frame, scaled from its origin, and cut to its frame by a clip of its own', () => {
  const group = {
    op: 'group',
    frame: [10, 20, 30, 40],
    scale: 1.234567,
    origin: [-5, 6],
    ops: [path],
  } as const;
  const one = (id: string): string =>
    `<clipPath id="${id}"><rect x="10" y="20" width="30" height="40"/></clipPath>` +
    `<g clip-path="url(#${id})"><g transform="translate(10 20) scale(1.23457) translate(5 -6)">` +
    '<path d="M0 0H9Z" fill="#123456"/></g></g>';
  expect(drawn(group, group)).toBe(one('c1') + one('c2'));
});

test('a part is a picture only where it is said as one', () => {
  const part = { op: 'part', tag: 'P', said: { actual: 'all of it' }, ops: [path] } as const;
  expect(drawn(part)).toBe('<path d="M0 0H9Z" fill="#123456"/>');
  expect(drawn({ ...part, tag: 'Figure', said: { alt: '"A"' } })).toBe(
    '<g role="img" aria-label="&quot;A&quot;"><path d="M0 0H9Z" fill="#123456"/></g>',
  );
});
