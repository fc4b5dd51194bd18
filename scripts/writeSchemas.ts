import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { TSchema } from '@sinclair/typebox';
import { StudioBundleSchema } from '../packages/contract/src/index';
import { ChartV1Schema, ChartV2Schema, LookSchema, PartyPlanSchema } from '../packages/core/src/index';

// Writes the published JSON Schemas from the types the code itself checks with; --check only compares.
const folder = path.resolve(
  import.meta.dirname ?? path.dirname(new URL(import.meta.url).pathname),
  '../docs/formats',
);
const schemas: readonly (readonly [string, string, TSchema])[] = [
  ['toile.chart-1.schema.json', 'Toile face chart, version 1', ChartV1Schema],
  ['toile.chart-2.schema.json', 'Toile face chart, version 2', ChartV2Schema],
  ['toile.look-1.schema.json', 'Toile look, version 1', LookSchema],
  ['toile.party-1.schema.json', 'Toile plan of a party, version 1', PartyPlanSchema],
  ['toile.studio-2.schema.json', 'Toile studio, version 2', StudioBundleSchema],
];
const check = process.argv.includes('--check');
for (const [file, title, schema] of schemas) {
  const text = `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', title, ...schema }, null, 1)}\n`;
  const target = path.join(folder, file);
  if (!check) writeFileSync(target, text);
  else if (readFileSync(target, 'utf8') !== text)
    throw new Error(`docs/formats/${file} is out of date: run npm run schemas`);
}
