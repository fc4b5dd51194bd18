import type { Static, TSchema } from '@sinclair/typebox';
import { Value, ValueErrorType, type ValueError } from '@sinclair/typebox/value';
import { findNodeAtLocation, parseTree, printParseErrorCode, type ParseError } from 'jsonc-parser';
import { msg } from '../messages';

/** Something wrong in a file: where, and what was expected there. */
export type DocumentProblem = {
  /** Place as a path, /steps/3/use/0/parts; empty for the whole file. */
  readonly path: string;
  readonly line: number;
  readonly column: number;
  readonly message: string;
};

export type ReadResult<T> =
  | { readonly ok: true; readonly document: T }
  | { readonly ok: false; readonly problems: readonly DocumentProblem[] };

function soundDocument<S extends TSchema>(
  text: string,
  schemaOf: S | ((value: unknown) => S),
): { readonly document: Static<S> } | null {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  const schema = typeof schemaOf === 'function' ? schemaOf(value) : schemaOf;
  return Value.Check(schema, value) ? { document: value } : null;
}

/** At most this many problems are told at once. */
const MOST = 20;

/**
 * Reads JSON text against a schema. Every problem carries its line and column in the text; nothing is guessed
 * or repaired. Where a document has more than one form, `schemaOf` chooses by what the document says it is.
 */
export function readDocument<S extends TSchema>(
  text: string,
  schemaOf: S | ((value: unknown) => S),
): ReadResult<Static<S>> {
  if (text.trim() === '')
    return { ok: false, problems: [{ path: '', line: 1, column: 1, message: msg`The file is empty.` }] };
  // Places are looked for only when something is wrong: a sound file is read once.
  const sound = soundDocument(text, schemaOf);
  if (sound) return { ok: true, document: sound.document };
  const errors: ParseError[] = [];
  const tree = parseTree(text, errors, { disallowComments: true, allowTrailingComma: false });
  if (errors.length > 0 || !tree) {
    const first = errors[0];
    const at = placeOf(text, first?.offset ?? 0);
    return {
      ok: false,
      problems: [
        {
          path: '',
          ...at,
          message: msg`Not JSON${first ? `: ${spaced(printParseErrorCode(first.error))}` : ''}.`,
        },
      ],
    };
  }
  const value: unknown = JSON.parse(text);
  const schema = typeof schemaOf === 'function' ? schemaOf(value) : schemaOf;
  if (Value.Check(schema, value)) return { ok: true, document: value };
  const problems: DocumentProblem[] = [];
  for (const error of deepest(schema, value)) {
    const segments = error.path
      .split('/')
      .slice(1)
      .map((s) => s.replace(/~1/g, '/').replace(/~0/g, '~'));
    problems.push({
      path: error.path,
      ...placeOf(text, offsetOf(tree, segments)),
      message: expectation(error),
    });
    if (problems.length >= MOST) break;
  }
  // A file of another format has everything wrong: say that first.
  return {
    ok: false,
    problems: problems.sort((a, b) => Number(b.path === '/format') - Number(a.path === '/format')),
  };
}

/** A union's own error only says that no form fits: tell what is wrong with the form that comes nearest. */
function* deepest(schema: TSchema, value: unknown): Generator<ValueError> {
  for (const error of Value.Errors(schema, value)) {
    if (error.type !== ValueErrorType.Union || error.errors.length === 0) yield error;
    else yield nearest(error);
  }
}

function nearest(union: ValueError): ValueError {
  let best: ValueError = union;
  let fewest = Infinity;
  for (const branch of union.errors) {
    const all = [...branch];
    const below = all.filter((e) => e.path !== union.path);
    if (below.length > 0 && all.length < fewest) {
      fewest = all.length;
      best = below[0]!;
    }
  }
  return best;
}

function expectation(error: ValueError): string {
  const { schema, value } = error;
  const words = allowedWords(schema);
  const got = clip(JSON.stringify(value) ?? msg`nothing`);
  if (words) return msg`Expected one of ${words}; found ${got}.`;
  if (error.type === ValueErrorType.ObjectRequiredProperty) return msg`${lastOf(error.path)} is missing.`;
  if (error.type === ValueErrorType.ObjectAdditionalProperties)
    return msg`${lastOf(error.path)} is not known here.`;
  const described = typeof schema.description === 'string' ? ` (${schema.description})` : '';
  return msg`${error.message}${described}; found ${got}.`;
}

function allowedWords(schema: TSchema): string | null {
  const options: unknown = schema.anyOf;
  if (!Array.isArray(options)) return 'const' in schema ? JSON.stringify(schema.const) : null;
  const literals = options.map((option: TSchema) => ('const' in option ? String(option.const) : null));
  return literals.every((l) => l !== null) ? clip(literals.join(', '), 160) : null;
}

const lastOf = (path: string): string => path.slice(path.lastIndexOf('/') + 1) || msg`the document`;
const clip = (text: string, length = 60): string =>
  text.length > length ? `${text.slice(0, length)}...` : text;
const spaced = (code: string): string => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/** Where a path stands in the text; for something missing, where its parent starts. */
function offsetOf(tree: NonNullable<ReturnType<typeof parseTree>>, segments: readonly string[]): number {
  for (let length = segments.length; length >= 0; length--) {
    const path = segments.slice(0, length).map((s) => (/^\d+$/.test(s) ? Number(s) : s));
    const node = findNodeAtLocation(tree, path);
    if (node) return node.offset;
  }
  return 0;
}

function placeOf(text: string, offset: number): { line: number; column: number } {
  const before = text.slice(0, offset);
  const line = before.split('\n').length;
  return { line, column: offset - before.lastIndexOf('\n') };
}
