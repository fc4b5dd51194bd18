import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import { canonicalJson } from '../canonicalJson';

/** 'sha256:...' of a document without its own hash field. */
export function documentHash(document: object): string {
  const { hash: _own, ...rest } = document as { hash?: unknown };
  return `sha256:${bytesToHex(sha256(utf8ToBytes(canonicalJson(rest))))}`;
}
