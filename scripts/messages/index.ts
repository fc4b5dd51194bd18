import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { collect } from './collect';

// Every message in every language: says what is missing or no longer told, and fails. --write adds what is
// missing with an empty translation, in the order of the source, and drops what is gone.
const root = path.resolve(import.meta.dirname ?? path.dirname(new URL(import.meta.url).pathname), '../..');
const CATALOGUE = 'packages/languages/src/id.json';
/** So many problems are said at once, and how many there are. */
const MOST_SAID = 60;
const { messages, untold, compared } = collect(root);
const target = path.join(root, CATALOGUE);
const catalogue = JSON.parse(readFileSync(target, 'utf8')) as Record<string, string>;

if (process.argv.includes('--write')) {
  const sorted = [...messages.keys()].sort();
  const next = Object.fromEntries(sorted.map((key) => [key, catalogue[key] ?? '']));
  writeFileSync(target, `${JSON.stringify(next, null, 2)}\n`);
}

const VALUE = /\{\{\d+\}\}/g;
const valuesOf = (text: string): string => [...new Set(text.match(VALUE) ?? [])].sort().join(' ');
/** What a message says of its values: a plural form tells one of its two. */
const kept = (key: string, told: string): boolean =>
  key.includes('|')
    ? told.match(VALUE)?.every((value) => key.includes(value)) !== false
    : valuesOf(key) === valuesOf(told);

const problems = [
  ...untold.map((where) => `told in English alone: ${where}`),
  ...compared.map((where) => `told words are compared, which are others in another language: ${where}`),
  ...[...messages].flatMap(([key, where]) => {
    const told = catalogue[key];
    if (told === undefined || told === '') return [`not translated: ${where} ${key}`];
    return kept(key, told) ? [] : [`not the same values: ${where} ${key} | ${told}`];
  }),
  ...Object.keys(catalogue).flatMap((key) => (messages.has(key) ? [] : [`no longer told: ${key}`])),
];
if (problems.length > 0) {
  const end = `${problems.length} of ${messages.size} messages. npm run messages -- --write puts what is missing into ${CATALOGUE}.`;
  process.stderr.write(`${[...problems.slice(0, MOST_SAID), end].join('\n')}\n`);
  process.exitCode = 1;
}
