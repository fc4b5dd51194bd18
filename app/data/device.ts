import { newId } from '@toile/contract';
import { readDraft, writeDraft } from './drafts';

const KEY = 'device';
let own: string | null = null;

/**
 * This device's own name: made once, kept with what it keeps, so that two phones of one person are told
 * apart.
 */
export function deviceName(): string {
  // Held here too: on a device that keeps nothing it is still one device as long as the page is open.
  own ??= readDraft<string>(KEY);
  if (own === null) {
    own = newId();
    writeDraft(KEY, own);
  }
  return own;
}
