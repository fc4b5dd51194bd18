import { createHash } from 'node:crypto';
import { msg, readDocument, readZip, zipText } from '@toile/core';
import {
  emptyBundle,
  rowsSchemaOf,
  type BundleRow,
  type BundleTable,
  type StudioBundle,
} from '@toile/contract';
import { MANIFEST, ManifestSchema, type Manifest } from './manifest';

/** More than any studio has; less than a machine holds. */
const LIMITS = { files: 50_000, bytes: 3_000_000_000 };

export type BackupProblem = {
  /** The file inside the zip; null for the zip itself. */
  readonly file: string | null;
  readonly line?: number;
  readonly column?: number;
  readonly message: string;
};
export type ReadBackup =
  | { readonly ok: true; readonly bundle: StudioBundle; readonly manifest: Manifest }
  | { readonly ok: false; readonly problems: readonly BackupProblem[] };

const refused = (file: string | null, message: string): ReadBackup => ({
  ok: false,
  problems: [{ file, message }],
});

/**
 * Reads a backup, whole or not at all: every file its manifest names is there as it was written, nothing else
 * is, and each row is what its table holds. What is wrong is told with the file and, inside one, the line and
 * column.
 */
export function readBackup(bytes: Uint8Array): ReadBackup {
  const zip = readZip(bytes, LIMITS);
  if (!zip.ok) return refused(zip.file, zip.message);
  const listed = zip.files.get(MANIFEST);
  if (!listed) return refused(MANIFEST, msg`Missing: this zip is no backup, or not all of one.`);
  const read = readDocument(zipText(listed), ManifestSchema);
  if (!read.ok) return { ok: false, problems: read.problems.map((p) => ({ file: MANIFEST, ...p })) };
  const manifest = read.document;
  const named = new Set([MANIFEST, ...manifest.files.map(({ name }) => name)]);
  const stranger = [...zip.files.keys()].find((name) => !named.has(name));
  if (stranger !== undefined) return refused(stranger, msg`The manifest does not name this file.`);
  if (named.size !== manifest.files.length + 1)
    return refused(MANIFEST, msg`The manifest names a file twice.`);
  const rows = new Map<BundleTable, unknown[]>();
  for (const { name, table, rows: count, sha256 } of manifest.files) {
    const file = zip.files.get(name);
    if (!file) return refused(name, msg`Missing: the manifest names it.`);
    if (createHash('sha256').update(file).digest('hex') !== sha256)
      return refused(name, msg`Damaged or changed: it is not what was written.`);
    const part = readDocument(zipText(file), rowsSchemaOf(table));
    if (!part.ok)
      return {
        ok: false,
        problems: part.problems.map(({ line, column, path, message }) => ({
          file: name,
          line,
          column,
          message: `${path} ${message}`,
        })),
      };
    const all = part.document as unknown[];
    if (all.length !== count) return refused(name, msg`${count} rows were written, ${all.length} are here.`);
    const known = rows.get(table);
    if (known) known.push(...all);
    else rows.set(table, [...all]);
  }
  let bundle = emptyBundle(manifest.studio);
  for (const [table, all] of rows) bundle = withRows(bundle, table, all);
  return { ok: true, bundle, manifest };
}

/** Rows that were checked by their table's schema just now are that table's. */
const withRows = <T extends BundleTable>(
  bundle: StudioBundle,
  table: T,
  rows: readonly unknown[],
): StudioBundle => ({
  ...bundle,
  [table]: rows as readonly BundleRow<T>[],
});
