import fc from 'fast-check';
import {
  COVERAGE_WORDS,
  FAMILIES,
  FINISHES,
  MEASURES,
  PRODUCT_KINDS,
  TEXTURES,
  type Kit,
  type Product,
} from '../kit';
import { id, KIT, product } from '../look/look.testing';
import { guessMapping, KIT_COLUMN_NAMES, readKitCsv, writeGimpPalette, writeKitCsv } from '.';

const HEAD = 'maker,line,shade,kind,L*,a*,b*';

describe('kit CSV', () => {
  const text = fc
    .string({ minLength: 1, maxLength: 12 })
    .map((s) => s.replace(/[\r\n\uFEFF]/g, ' ').trim())
    .filter((s) => s !== '' && !s.startsWith("'"));
  const number = (min: number, max: number) =>
    fc.double({ min, max, noNaN: true }).map((v) => Math.round(v * 100) / 100 + 0);
  const anyProduct = fc.record({
    maker: text,
    line: text,
    shade: text,
    kind: fc.constantFrom(...PRODUCT_KINDS),
    lab: fc.option(fc.tuple(number(30, 75), number(5, 20), number(5, 30))),
    coverage: fc.constantFrom(...COVERAGE_WORDS),
    finish: fc.constantFrom(...FINISHES),
    texture: fc.constantFrom(...TEXTURES),
    family: fc.constantFrom(...FAMILIES),
    measure: fc.constantFrom(...MEASURES),
    mgPerMeasure: number(1, 900),
    withdrawn: fc.boolean(),
  });

  test('what is written is read back, whatever the names hold', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(anyProduct, {
          maxLength: 5,
          minLength: 1,
          selector: (p) => `${p.maker} ${p.line} ${p.shade} ${p.kind}`.toLowerCase(),
        }),
        (list) => {
          const products = list.map((p, i): Product => ({
            ...product(i, p.kind, null),
            ...p,
            ingredients: ['water', 'mica'],
          }));
          const kit: Kit = {
            products,
            units: products.slice(0, 2).map((p, i) => ({
              id: id(700 + i),
              productId: p.id,
              openedOn: i ? null : '2031-02-03',
              remainingMg: 120.5,
              place: 'case 1',
            })),
          };
          const read = readKitCsv(writeKitCsv(kit));
          expect(read.problems).toEqual([]);
          expect(read.rows.flatMap((r) => r.problems)).toEqual([]);
          expect(read.rows.map((r) => r.product)).toEqual(products.map(({ id: _, ...p }) => p));
          expect(read.rows.flatMap((r) => r.unit ?? [])).toEqual(
            kit.units.map(({ id: _, productId: _p, ...u }) => u),
          );
        },
      ),
      { numRuns: 60, seed: 2 },
    );
  });

  test('byte-order mark, semicolons and decimal commas', () => {
    const { rows, problems } = readKitCsv(
      '\uFEFFMaker;Line;Shade;Kind;L*;a*;b*;mg per measure\r\nOrdway;Veil;V1;base;64,5;12,1;18;170,5\r\n\r\n',
    );
    expect(problems).toEqual([]);
    expect(rows[0]!.product).toMatchObject({ maker: 'Ordway', lab: [64.5, 12.1, 18], mgPerMeasure: 170.5 });
  });

  test('rows that are wrong say line, column and what is expected; the good ones stand', () => {
    const { rows } = readKitCsv(
      [
        HEAD,
        'Ordway,Veil,V1,base,64,12,18',
        'Ordway,Veil,V2,bass,64,12,18',
        'Ordway,Veil,V3,base,640,12,18',
        'Ordway,Veil,V4,base,64,,18',
        ',Veil,V5,base,,,',
        'Ordway,Veil,V6,base,a,b,c',
      ].join('\n'),
    );
    expect(
      rows.map((r) => [r.line, r.product !== null, r.problems.map((p) => `${p.column} ${p.message}`)]),
    ).toEqual([
      [2, true, []],
      [3, false, [expect.stringMatching(/^kind “bass” is not one of prep, primer/)]],
      [4, false, ['L* 640 is outside 0 to 100']],
      [5, false, ['a* is missing: a colour has all three of L*, a*, b*, or none']],
      [6, false, ['maker is empty']],
      [7, false, ['L* “a” is not a number', 'a* “b” is not a number', 'b* “c” is not a number']],
    ]);
  });

  test.each([
    ['', /empty/],
    [HEAD, /no rows/],
    ['a,b\n1,2', /Say which column holds maker, line, shade, kind/],
    [`${HEAD}\n"Ordway,Veil,V1,base,1,2,3`, /never closes/],
  ])('a file that cannot be used says why: %j', (text, words) => {
    const read = readKitCsv(text);
    expect(read.problems[0]).toMatch(words);
    expect(read.rows).toEqual([]);
  });

  test('ten thousand rows are read; twenty thousand and one are not', () => {
    const rows = (n: number) =>
      [HEAD, ...Array.from({ length: n }, (_, i) => `Ordway,Veil,V${i},base,64,12,18`)].join('\n');
    expect(readKitCsv(rows(10_000)).rows.filter((r) => r.product)).toHaveLength(10_000);
    expect(readKitCsv(rows(20_001)).problems[0]).toMatch(/at most 20000/);
  });

  test('columns by other names are guessed, and can be said', () => {
    expect(guessMapping(['Brand', 'Range', 'Colour', 'Type', 'PAO'])).toEqual({
      maker: 'Brand',
      line: 'Range',
      shade: 'Colour',
      kind: 'Type',
      'months after opening': 'PAO',
    });
    const odd = 'who,what,which,sort\nOrdway,Veil,V1,base';
    expect(
      readKitCsv(odd, { mapping: { maker: 'who', line: 'what', shade: 'which', kind: 'sort' } }).rows[0]!
        .product,
    ).toMatchObject({ shade: 'V1' });
    expect(new Set(KIT_COLUMN_NAMES).size).toBe(KIT_COLUMN_NAMES.length);
  });

  test('an amount that is not said is that of a full one, of each kind; one that is said is taken as it is', () => {
    const head = 'maker,line,shade,kind,measure,mg per measure,single use,opened on,remaining mg,place';
    for (const kind of PRODUCT_KINDS) {
      const of = (more: string) => readKitCsv(`${head}\nOrdway,Veil,V1,${kind},swipe,20,${more}`).rows[0]!;
      expect(of('no,,,case 2')).toMatchObject({ takenAsFull: true, unit: { place: 'case 2' } });
      expect(of('no,,,case 2').unit!.remainingMg).toBeGreaterThanOrEqual(400);
      expect(of('no,2031-05-14,,').unit!.remainingMg).toBe(of('no,,,case 2').unit!.remainingMg);
      expect(of('no,,0,case 2')).toMatchObject({ takenAsFull: false, unit: { remainingMg: 0 } });
      expect(of('no,,12,')).toMatchObject({ takenAsFull: false, unit: { remainingMg: 12 } });
      expect(of('yes,,,case 2').unit!.remainingMg).toBe(200);
      expect(of('no,,,')).toMatchObject({ unit: null, takenAsFull: false });
    }
    // Never less than one dose.
    expect(readKitCsv(`${head}\nOrdway,Veil,V1,liner,swipe,900,no,,,case 2`).rows[0]!.unit!.remainingMg).toBe(
      900,
    );
  });

  test('where no column says anything of units, rows are a list, or one of each if they are owned', () => {
    const text = 'maker,line,shade,kind\nOrdway,Veil,V1,base\nOrdway,Veil,V2,base';
    const list = readKitCsv(text);
    expect(list.saysUnits).toBe(false);
    expect(list.rows.map((r) => r.unit)).toEqual([null, null]);
    expect(readKitCsv(text, { owned: true }).rows.map((r) => r.unit)).toEqual(
      Array(2).fill({ openedOn: null, remainingMg: 30_000, place: '' }),
    );
    // What lies somewhere is owned; of what nobody wrote down where it lies it is still to be said.
    const places = 'maker,line,shade,kind,place\nOrdway,Veil,V1,base,\nOrdway,Veil,V2,base,case 1';
    expect(readKitCsv(places).saysUnits).toBe(false);
    expect(readKitCsv(places).rows.map((r) => r.unit?.place)).toEqual([undefined, 'case 1']);
    expect(readKitCsv(places, { owned: true }).rows.map((r) => r.unit?.place)).toEqual(['', 'case 1']);
    // Where what is left has a column, an empty cell is none.
    const left = places.replace('place\n', 'place,left\n');
    expect(readKitCsv(left, { owned: true }).rows.map((r) => r.unit?.place)).toEqual([undefined, 'case 1']);
  });

  test('a product of the kit is known again; one product with two colours is questioned; dates must be days', () => {
    const known = KIT.products[0]!;
    const line = `${known.maker},${known.line},${known.shade},${known.kind},54,12,18`;
    expect(readKitCsv(`${HEAD}\n${line}`, { kit: KIT }).rows[0]!.known).toBe(true);
    expect(
      readKitCsv(`${HEAD}\nA,B,C,base,60,12,18\nA,B,C,base,60,12,19`).rows[1]!.problems[0]!.message,
    ).toMatch(/in line 2/);
    expect(
      readKitCsv(`${HEAD},opened on\nA,B,C,base,60,12,18,2031-02-30`).rows[0]!.problems[0]!.message,
    ).toMatch(/not a date/);
  });

  test('a list as somebody keeps it: kinds by any name, how they usually come, months as on the jar', () => {
    const text = [
      'Brand name,Product Name,Shade Name,Product type,Ingredient list,PAO,Date opened',
      'Ordway,Velvet Matte,120N,Foundation,"Aqua, 1,2-Hexanediol, Parfum (Fragrance, natural), CI 77491",12M,14/05/2031',
      'Ordway,Flush,Peony,Powder Blush,,24 months,03/02/2031',
      'Ordway,Flush Cream,Peony,Blush,,6 m,',
      'Ordway,Length,black,Mascara,,6,',
      'Ordway,Grip,clear,Eye primer,,12,',
      'Ordway,Star,gold,Glitter,,12,',
      'Ordway,Kiss Eyeliner,plum,,,12,',
      'Ordway,Duo,rose,Blush/Highlighter,,12,',
      'Ordway,Stick,9,Lash glue,,12,',
    ].join('\n');
    const { rows, problems } = readKitCsv(text);
    expect(problems).toEqual([]);
    const of = (line: number) => rows.find((row) => row.line === line)!;
    expect(of(2).product).toMatchObject({
      kind: 'base',
      texture: 'liquid',
      finish: 'matte',
      measure: 'pump',
      monthsAfterOpening: 12,
      eyeSafe: false,
      ingredients: ['Aqua', '1,2-Hexanediol', 'Parfum (Fragrance, natural)', 'CI 77491'],
    });
    // The other day of the file says in which order they are written.
    expect(of(2).unit).toMatchObject({ openedOn: '2031-05-14' });
    expect(of(3).unit).toMatchObject({ openedOn: '2031-02-03' });
    expect(of(3).product).toMatchObject({
      kind: 'blush',
      texture: 'pressed',
      family: 'powder',
      monthsAfterOpening: 24,
    });
    expect(of(4).product).toMatchObject({
      kind: 'blush',
      texture: 'cream',
      family: 'silicone',
      mgPerMeasure: 10,
    });
    expect(of(5).product).toMatchObject({ kind: 'mascara', texture: 'liquid', eyeSafe: true });
    expect(of(6).product).toMatchObject({ kind: 'primer', eyeSafe: true });
    expect(of(7).product).toMatchObject({
      kind: 'shadow',
      texture: 'loose',
      finish: 'shimmer',
      eyeSafe: false,
    });
    expect(of(8).product).toMatchObject({ kind: 'liner', eyeSafe: true });
    expect(of(9).problems).toEqual([
      { column: 'kind', message: '“Blush/Highlighter” may be blush or highlight: write one of them' },
    ]);
    expect(of(10).problems[0]!.message).toMatch(/^“Lash glue” is not one of prep/);
  });

  test('what is said counts, whatever a name or a kind usually means', () => {
    const head = 'maker,line,shade,kind,texture,finish,family,measure,mg per measure,eye safe';
    const [row] = readKitCsv(`${head}\nOrdway,Cream Matte,1,Mascara,gel,satin,water,dot,7,no`).rows;
    expect(row!.product).toMatchObject({
      texture: 'gel',
      finish: 'satin',
      family: 'water',
      measure: 'dot',
      mgPerMeasure: 7,
      eyeSafe: false,
    });
  });

  test('a day that may be two is asked for, not guessed', () => {
    const [row] = readKitCsv(`${HEAD},opened on\nA,B,C,base,60,12,18,03/02/2031`).rows;
    expect(row!.product).toBeNull();
    expect(row!.problems).toEqual([
      { column: 'opened on', message: '“03/02/2031” may be read two ways: write it as 2031-05-14' },
    ]);
  });

  test.each([
    ['12 g', 12_000],
    ['1,5g', 1500],
    ['15ml', 15_000],
    ['0.5 fl oz', 14_787],
    ['50%', 15_000],
    ['about 3/4 full', 22_500],
    ['half', 15_000],
    ['Full', 30_000],
    ['empty', 0],
    ['6000', 6000],
    ['6,000', 6000],
    ['a lot', null],
    ['150 %', null],
    ['-4', null],
    ['20 kg', null],
    ['11000 g', null],
  ] as const)('what is left as a list says it: %s', (told, mg) => {
    const { rows } = readKitCsv(`maker,line,shade,kind,left\nA,B,1,base,"${told}"`);
    expect(rows[0]!.unit?.remainingMg ?? null).toBe(mg);
    expect(rows[0]!.problems.map(({ column }) => column)).toEqual(mg === null ? ['remaining mg'] : []);
    expect(rows[0]!.takenAsFull).toBe(false);
  });

  test('a title above the header is left out; a line is told by its number in the file, empty ones counted', () => {
    const { rows, problems, headers } = readKitCsv(
      'My kit, spring\n\nMaker,Line,Shade,Kind,,\n\nA,B,1,blusher,,\n,,,,,\nA,B,2,spaceship,,\n',
    );
    expect(problems).toEqual([]);
    expect(headers.slice(0, 4)).toEqual(['Maker', 'Line', 'Shade', 'Kind']);
    expect(rows.map(({ line, product }) => [line, product?.kind])).toEqual([
      [5, 'blush'],
      [7, undefined],
    ]);
    // A list without any header is asked about, whatever is in it.
    expect(readKitCsv('A,B,1,blusher\nA,B,2,powder').problems).toEqual([
      'Say which column holds maker, line, shade, kind.',
    ]);
    // Cells beyond the header that hold something are a mistake; a comma at the end is none.
    const more = readKitCsv('maker,line,shade,kind\nA,B,1,blush,\nA,B,2,blush,x');
    expect(more.rows.map((row) => row.problems.length)).toEqual([0, 1]);
  });

  test.each(['left', '% left', 'Amount left', 'How much is left?', 'Fill level', 'remaining'])(
    'a column headed %s says what is left',
    (header) => {
      const { rows, saysUnits } = readKitCsv(
        `Brand,Product,Shade / colour,Type,${header},First used\nA,B,1,base,50 %,2031-03-01`,
      );
      expect(saysUnits).toBe(true);
      expect(rows[0]!.unit).toMatchObject({ remainingMg: 15_000, openedOn: '2031-03-01' });
    },
  );

  test('opened in a month: from its first day; called waterproof it is, whatever a line is called', () => {
    const { rows } = readKitCsv(
      'maker,line,shade,kind,opened\nA,B,1,waterproof mascara,03/2031\nA,Waterproof,2,mascara,March 2031\nA,B,3,mascara not waterproof,13/2031',
    );
    expect(rows.map(({ unit }) => unit?.openedOn)).toEqual(['2031-03-01', '2031-03-01', undefined]);
    expect(rows.slice(0, 2).map(({ product }) => product!.waterproof)).toEqual([true, undefined]);
    expect(rows[2]!.problems.map(({ column }) => column)).toEqual(['opened on']);
  });

  test('an ingredient with a comma in it is one again after it was written', () => {
    for (const ingredients of [['CI 77491, CI 77492'], ['Aqua, Parfum', 'Mica'], ['Mica']]) {
      const kit: Kit = { products: [product(1, 'base', null, { ingredients })], units: [] };
      expect(readKitCsv(writeKitCsv(kit)).rows[0]!.product!.ingredients).toEqual(ingredients);
    }
  });

  test('a cell that would run as a formula is written disarmed', () => {
    const kit: Kit = { products: [product(1, 'base', null, { shade: '=1+1' })], units: [] };
    expect(writeKitCsv(kit)).toContain("'=1+1");
    expect(readKitCsv(writeKitCsv(kit)).rows[0]!.product!.shade).toBe('=1+1');
  });
});

test('a GIMP palette, a line a colour, names on one line', () => {
  const text = writeGimpPalette(
    'Case 1',
    [
      { name: 'A\nB', lab: [100, 0, 0] },
      { name: 'black', lab: [0, 0, 0] },
    ],
    4,
  );
  expect(text).toBe('GIMP Palette\nName: Case 1\nColumns: 4\n#\n255 255 255\tA B\n  0   0   0\tblack\n');
});
