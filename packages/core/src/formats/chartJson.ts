import { chartSchemaOf, LookSchema, type Chart, type Look } from '../look';
import { msg } from '../messages';
import { documentHash } from './documentHash';
import { readDocument, type DocumentProblem, type ReadResult } from './readDocument';

/** A chart as its open JSON text, sealed with its hash. */
export function writeChart(chart: Chart): string {
  return `${JSON.stringify({ ...chart, hash: documentHash(chart) }, null, 2)}\n`;
}

/**
 * Reads a chart's JSON, of the first form or the second. Refuses anything the schema does not know, ids used
 * twice, and a hash that does not fit.
 */
export function readChart(text: string): ReadResult<Chart> {
  const read = readDocument(text, chartSchemaOf);
  if (!read.ok) return read;
  const problems = [
    ...repeatedSteps(read.document.steps),
    ...wrongHash(read.document),
    ...strangeVersion(read.document),
  ];
  return problems.length > 0 ? { ok: false, problems } : read;
}

/** A look as its open JSON text. */
export function writeLook(look: Look): string {
  return `${JSON.stringify(look, null, 2)}\n`;
}

/** Reads a look's JSON with the same strictness. */
export function readLook(text: string): ReadResult<Look> {
  const read = readDocument(text, LookSchema);
  if (!read.ok) return read;
  const problems = [...repeatedSteps(read.document.steps), ...strangeVersion(read.document)];
  return problems.length > 0 ? { ok: false, problems } : read;
}

const problem = (path: string, message: string): DocumentProblem => ({ path, line: 1, column: 1, message });

function repeatedSteps(steps: readonly { readonly id: string }[]): DocumentProblem[] {
  const seen = new Map<string, number>();
  return steps.flatMap(({ id }, i) => {
    const first = seen.get(id);
    if (first === undefined) seen.set(id, i);
    return first === undefined
      ? []
      : [problem(`/steps/${i}/id`, msg`Step ${i + 1} has the same id as step ${first + 1}.`)];
  });
}

function wrongHash(chart: { readonly hash?: string | undefined }): DocumentProblem[] {
  if (chart.hash === undefined || chart.hash === documentHash(chart)) return [];
  return [
    problem(
      '/hash',
      msg`The file was changed after it was written: its contents no longer fit its hash. Export it again, or remove the hash if the change is meant.`,
    ),
  ];
}

function strangeVersion(document: {
  readonly version: number;
  readonly parent: number | null;
}): DocumentProblem[] {
  const { version, parent } = document;
  return (version === 1) === (parent === null) && (parent === null || parent < version)
    ? []
    : [problem('/parent', msg`Version ${version} cannot come from version ${parent ?? msg`none`}.`)];
}
