import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { TSchema } from '@sinclair/typebox';
import { StudioBundleSchema } from '../packages/contract/src/index';
import { STARTER_LOOKS } from '../demo/src/index';
import {
  ChartV1Schema,
  ChartV2Schema,
  LookSchema,
  PartyPlanSchema,
  TrialFileSchema,
} from '../packages/core/src/index';

// Writes what is made from code and kept as files: the published JSON Schemas, from the types the code itself
// checks with, and the looks that ship with an own studio. --check only compares.
const root = path.resolve(import.meta.dirname ?? path.dirname(new URL(import.meta.url).pathname), '..');
const schemas: readonly (readonly [string, string, TSchema])[] = [
  ['toile.chart-1.schema.json', 'Toile face chart, version 1', ChartV1Schema],
  ['toile.chart-2.schema.json', 'Toile face chart, version 2', ChartV2Schema],
  ['toile.look-1.schema.json', 'Toile look, version 1', LookSchema],
  ['toile.party-1.schema.json', 'Toile plan of a party, version 1', PartyPlanSchema],
  ['toile.trial-1.schema.json', 'Toile half-face trial, version 1', TrialFileSchema],
  ['toile.studio-2.schema.json', 'Toile studio, version 2', StudioBundleSchema],
];
const files: readonly (readonly [string, string])[] = [
  ...schemas.map(([file, title, schema]): [string, string] => [
    `docs/formats/${file}`,
    `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', title, ...schema }, null, 1)}\n`,
  ]),
  [
    'server/src/setup/starterLooks.json',
    `[\n${STARTER_LOOKS.map((look) => JSON.stringify(look)).join(',\n')}\n]\n`,
  ],
];
const check = process.argv.includes('--check');
for (const [file, text] of files) {
  const target = path.join(root, file);
  if (!check) writeFileSync(target, text);
  else if (readFileSync(target, 'utf8') !== text)
    throw new Error(`${file} is out of date: run npm run schemas`);
}
