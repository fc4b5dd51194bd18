import { msg, readZip, zipText, type ZipLimits } from '@toile/core';
import { MOST_LOOK_FILES, type ImportLooks } from '@toile/contract';

/** A library is text: more than this is none. */
const LIMITS: ZipLimits = { files: MOST_LOOK_FILES, bytes: 8_000_000 };

export type LookFiles =
  | { readonly ok: true; readonly files: ImportLooks['files'] }
  | { readonly ok: false; readonly message: string };

/** The look files of what was chosen: one look, or every .json of a zip. */
export function lookFilesOf(name: string, bytes: Uint8Array): LookFiles {
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b;
  if (!isZip)
    return { ok: true, files: [{ name: name.slice(0, 200), text: new TextDecoder().decode(bytes) }] };
  const read = readZip(bytes, LIMITS);
  if (!read.ok) return { ok: false, message: [read.file, read.message].filter(Boolean).join(': ') };
  const files = [...read.files]
    .filter(([path]) => path.endsWith('.json'))
    .map(([path, body]) => ({ name: path.slice(0, 200), text: zipText(body) }));
  return files.length === 0
    ? { ok: false, message: msg`The zip holds no look files: they end in .json.` }
    : { ok: true, files };
}
