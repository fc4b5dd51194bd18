import { newId } from '@toile/contract';
import { readDraft, writeDraft } from './drafts';

const KEY = 'device';

/** This device's own name: made once, kept with what it keeps, so that two phones of one person are told apart. */
export function deviceName(): string {
  const kept = readDraft<string>(KEY);
  if (kept) return kept;
  const made = newId();
  writeDraft(KEY, made);
  return made;
}
