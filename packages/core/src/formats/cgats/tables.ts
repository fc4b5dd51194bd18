import { msg } from '../../messages';

/** A line of the file that says something, taken apart. */
export type Fields = { readonly line: number; readonly fields: readonly string[] };
/** One table of a CGATS.17 file: what is said before its values, what its columns are called, its rows. */
export type Table = {
  /** What is said before this table, and before those above it: the newest last. */
  readonly said: readonly Fields[];
  readonly columns: readonly string[];
  /** The line its columns are named in, and the one its values begin at. */
  readonly columnsLine: number;
  readonly dataLine: number;
  readonly rows: readonly Fields[];
};
export type CgatsProblem = { readonly line: number; readonly message: string };

/** Fields of a line: bare words, or text in quotes. */
function fieldsOf(line: string): string[] {
  return [...line.matchAll(/"((?:[^"]|"")*)"|(\S+)/g)].map((m) =>
    m[1] !== undefined ? m[1].replaceAll('""', '"') : m[2]!,
  );
}

/**
 * The tables of a file of CGATS.17 text, in their order. A table that names no columns has those of the one
 * before it. What is no such file, or ends before it should, is told by its line.
 */
export function tablesOf(text: string): readonly Table[] | CgatsProblem {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  if (lines.every((line) => line.trim() === '')) return { line: 1, message: msg`The file is empty.` };
  const tables: Table[] = [];
  const said: Fields[] = [];
  let columns: { readonly names: readonly string[]; readonly line: number } | null = null;
  for (let i = 0; i < lines.length; i++) {
    const keyword = lines[i]!.trim().toUpperCase();
    if (keyword === 'BEGIN_DATA_FORMAT' || keyword === 'BEGIN_DATA') {
      const end = keyword.replace('BEGIN', 'END');
      const endAt = lines.findIndex((line, at) => at > i && line.trim().toUpperCase() === end);
      if (endAt < 0) return { line: i + 1, message: msg`${keyword} is never ended by ${end}.` };
      const within = lines
        .slice(i + 1, endAt)
        .map((line, at) => ({ line: i + at + 2, fields: fieldsOf(line) }))
        .filter(({ fields }) => fields.length > 0 && !fields[0]!.startsWith('#'));
      if (keyword === 'BEGIN_DATA_FORMAT')
        columns = {
          names: within.flatMap(({ fields }) => fields.map((f) => f.toUpperCase())),
          line: within[0]?.line ?? i + 1,
        };
      else if (columns)
        tables.push({
          said: [...said],
          columns: columns.names,
          columnsLine: columns.line,
          dataLine: i + 1,
          rows: within,
        });
      else break;
      i = endAt;
    } else {
      const fields = fieldsOf(lines[i]!);
      if (fields.length > 0 && !fields[0]!.startsWith('#')) said.push({ line: i + 1, fields });
    }
  }
  if (!columns)
    return { line: 1, message: msg`There is no BEGIN_DATA_FORMAT line: this is not a CGATS.17 file.` };
  if (tables.length === 0)
    return { line: lines.length, message: msg`There is no BEGIN_DATA line, so no samples.` };
  return tables;
}
