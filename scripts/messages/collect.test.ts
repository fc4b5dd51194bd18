import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { collect } from './collect';

const CORE = `
export declare function msg(parts: TemplateStringsArray, ...values: readonly (string | number)[]): string;
export declare function plural(n: number): typeof msg;
export declare function term(word: string, of?: string): string;
export declare function messages<T extends object>(table: T): T;
export declare function messagesIn<T>(names: readonly string[], table: T): T;
`;
const IMPORTS = `import { msg, plural, term, messages, messagesIn } from '../packages/core/src/core';\n`;
let root: string;
beforeAll(() => {
  root = mkdtempSync(path.join(tmpdir(), 'messages-'));
  for (const folder of ['app', 'packages/core/src', 'packages/contract/src', 'server/src'])
    mkdirSync(path.join(root, folder), { recursive: true });
  writeFileSync(
    path.join(root, 'app/tsconfig.json'),
    JSON.stringify({
      compilerOptions: { strict: true, jsx: 'preserve', module: 'esnext', target: 'es2022' },
    }),
  );
  writeFileSync(path.join(root, 'packages/core/src/core.ts'), CORE);
});
afterAll(() => rmSync(root, { recursive: true, force: true }));

/** What is told, and what is told in English alone, of a file of the app. */
function told(source: string, name = 'app/some.tsx') {
  writeFileSync(path.join(root, name), IMPORTS + source);
  try {
    const { messages, untold, compared } = collect(root);
    const [alone, words] = [untold, compared].map((all) => all.map((one) => one.replace(/^\S+ /, '')));
    return { keys: [...messages.keys()], untold: alone!, compared: words! };
  } finally {
    rmSync(path.join(root, name));
  }
}

test('messages, plural forms, terms by their type and tables are found', () => {
  const { keys, untold } = told(`
    declare const kind: 'base' | 'blush';
    msg\`Put \${term(kind)} on\`;
    plural(2)\`\${2} step|\${2} steps\`;
    messages({ one: 'the first' });
    messagesIn(['label'], [{ id: 'not-read', label: 'The second' }]);
    term('light', 'skin');
  `);
  expect(keys.sort()).toEqual(
    [
      'Put {{0}} on',
      '{{0}} step|{{1}} steps',
      'base',
      'blush',
      'light_skin',
      'the first',
      'The second',
    ].sort(),
  );
  expect(untold).toEqual([]);
});

test.each([
  ['a word', "msg`It is ${'deeper'} than`", ['deeper in It is {{0}} than']],
  [
    'either word of a choice',
    "declare const b: boolean; msg`It is ${b ? 'deeper' : msg`lighter`}`",
    ['deeper in It is {{0}}'],
  ],
  ['a variable’s word', "const w = 'deeper'; msg`It is ${w}`", ['deeper in It is {{0}}']],
  [
    'a word of a pattern',
    "declare const b: boolean; const [one, two] = b ? ['up', msg`low`] : [msg`high`, 'down']; msg`Go ${one}`; two;",
    ['up in Go {{0}}', 'down in Go {{0}}'],
  ],
  [
    'a type that has its words',
    "declare const s: 'open' | 'ended'; msg`Link ${s}`",
    ['open in Link {{0}}', 'ended in Link {{0}}'],
  ],
  [
    'what a function gives back',
    "function size(n: number): string { if (n > 1) return msg`big`; return 'small'; } msg`It is ${size(2)}`",
    ['small in It is {{0}}'],
  ],
  [
    'what stands behind a missing one',
    "declare const s: number | undefined; msg`At ${s ?? 'any hour'}`",
    ['any hour in At {{0}}'],
  ],
  ['a child of an element', "declare const b: boolean; <p>{b ? 'done' : msg`open`}</p>", ['done shown']],
  [
    'an attribute that is shown',
    "declare const b: boolean; <p title={b ? 'now' : msg`then`} id={'some-id'} />",
    ['now shown'],
  ],
  [
    'a field that is shown',
    "declare const b: boolean; const row = { id: 'some', detail: b ? 'client' : msg`look` }; row;",
    ['client shown'],
  ],
  [
    'a sentence nobody tells',
    "const NOT_WORN = 'This is still to come'; NOT_WORN;",
    ['This is still to come'],
  ],
  [
    'a sentence put together',
    'declare const name: string; const said = `${name} would be late again`; said;',
    ['… would be late again'],
  ],
  ['text in an element', '<p>Some words</p>', ['Some words']],
])('untold: %s', (_what, source, wanted) => expect(told(source).untold).toEqual(wanted));

test.each([
  ['a number with its unit', 'declare const mm: number; msg`It is ${`${mm} mm`}`'],
  ['a name somebody typed', 'declare const name: string; msg`Hello ${name}`; <p>{name}</p>'],
  ['a told word', "declare const s: 'open' | 'ended'; msg`Link ${term(s)}`"],
  [
    'a word of a table that tells',
    "const T = messages({ a: 'one thing', b: 'other thing' } as const); msg`It is ${T.a}`",
  ],
  [
    'a label of a list that tells',
    "const L = messagesIn(['label'], { a: { label: 'Upper lip' } } as const); msg`${L.a.label} is short`",
  ],
  [
    'a sentence that is a term elsewhere',
    "const FOOT = 'Clean face and no oil'; term(FOOT as 'Clean face and no oil');",
  ],
  [
    'an error only a program meets',
    "const f = () => { throw new RangeError('Some words nobody sees'); }; f;",
  ],
  ['an id', "const fix = { id: `${'x'} left out again` }; fix;"],
])('told, or nothing to tell: %s', (_what, source) => expect(told(source).untold).toEqual([]));

test('what whoever runs a server reads is not told, nor what a format holds', () => {
  expect(told("export const T = 'There is no studio here yet';", 'server/src/environment.ts').untold).toEqual(
    [],
  );
  expect(told("export const T = 'There is no studio here yet';", 'server/src/other.ts').untold).toHaveLength(
    1,
  );
});

test('told words that are compared are found, ids that are told elsewhere are not', () => {
  const { compared } = told(`
    declare const step: { title: string; name: string; kind: 'base' | 'blush' };
    const effects = messagesIn(['name'], [{ name: 'natural', kind: 'blush' }]);
    msg\`Powder\`; term(step.kind);
    const all = [
      step.title === 'Powder', 'Powder' !== step.title, step.title === msg\`Powder\`,
      effects.find((one) => one.name === 'natural'), step.kind === 'base', step.kind === term('base'),
      step.title === 'Powders', step.title === '', step.title === step.name, step.kind !== 'blush',
      effects.find(({ name }) => name === 'natural'),
    ];
  `);
  expect(compared).toEqual(['Powder', 'Powder', 'msg`Powder`', 'natural', "term('base')", 'natural']);
});
