import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { msg, numberTold } from '../messages';

export type ZipLimits = {
  /** The most files it may hold. */
  readonly files: number;
  /** The most bytes they may come to, unpacked. */
  readonly bytes: number;
};

export type ReadZip =
  | { readonly ok: true; readonly files: ReadonlyMap<string, Uint8Array> }
  | {
      readonly ok: false;
      /** The file inside that is wrong; null for the whole. */
      readonly file: string | null;
      readonly message: string;
    };

/** Every entry has one time, so that the same files are the same bytes. */
const WRITTEN = '1980-01-01T12:00:00';
/** A zip begins so, also one with nothing in it. */
const SIGNATURES = ['PK\u0003\u0004', 'PK\u0005\u0006'];

/** Files as one zip; the same files give the same bytes. Names are paths with forward slashes. */
export function writeZip(files: ReadonlyMap<string, string | Uint8Array>): Uint8Array {
  const entries = [...files].map(([name, body]): [string, Uint8Array] => [
    name,
    // Bytes of this very realm: others would be taken for a folder of numbers.
    new Uint8Array(typeof body === 'string' ? strToU8(body) : body),
  ]);
  return zipSync(Object.fromEntries(entries), { mtime: WRITTEN, level: 6 });
}

/** Text of a file out of a zip, as UTF-8. */
export const zipText = (bytes: Uint8Array): string => strFromU8(bytes);

class Refused extends Error {
  readonly file: string | null;
  constructor(file: string | null, message: string) {
    super(message);
    this.file = file;
  }
}

/**
 * Unpacks a zip in memory, whole or not at all: refused when it is none, is cut off, climbs out of its
 * folder, names a file twice, or says it is more than the limits. Folders of their own are passed over. What
 * is in a file is not judged.
 */
export function readZip(bytes: Uint8Array, limits: ZipLimits): ReadZip {
  if (!SIGNATURES.includes(strFromU8(bytes.subarray(0, 4), true)))
    return { ok: false, file: null, message: msg`This is not a zip file.` };
  const seen = new Set<string>();
  let total = 0;
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (climbs(name)) throw new Refused(name, msg`This name leads out of the zip’s own folder.`);
        if (seen.has(name)) throw new Refused(name, msg`The zip holds this file twice.`);
        seen.add(name);
        total += originalSize;
        if (seen.size > limits.files)
          throw new Refused(null, msg`The zip holds more than ${numberTold(limits.files)} files.`);
        if (total > limits.bytes)
          throw new Refused(
            name,
            msg`Unpacked it would be more than ${numberTold(Math.round(limits.bytes / 1_000_000))} MB.`,
          );
        return !name.endsWith('/');
      },
    });
    return { ok: true, files: new Map(Object.entries(files)) };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, file: error.file, message: error.message };
    return { ok: false, file: null, message: msg`The zip is cut off or damaged.` };
  }
}

const climbs = (name: string): boolean =>
  name === '' ||
  name.startsWith('/') ||
  /^[A-Za-z]:/.test(name) ||
  name.includes('\\') ||
  name.includes('\0') ||
  name.split('/').includes('..');
