import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';

/** JSON with keys sorted at every level and no white space, so that equal documents have equal text. */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value))
    return `[${value.map((v) => canonicalJson(v === undefined ? null : v)).join(',')}]`;
  if (value !== null && typeof value === 'object') {
    const entries = Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0));
    return `{${entries.map(([k, v]) => `${JSON.stringify(k)}:${canonicalJson(v)}`).join(',')}}`;
  }
  return JSON.stringify(value) ?? 'null';
}

/** 'sha256:...' of a document without its own hash field. */
export function documentHash(document: object): string {
  const { hash: _own, ...rest } = document as { hash?: unknown };
  return `sha256:${bytesToHex(sha256(utf8ToBytes(canonicalJson(rest))))}`;
}
