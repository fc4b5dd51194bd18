/** Drafts outlive a reload: kept on the device until they are saved or thrown away. */
const key = (name: string): string => `toile.draft.${name}`;

export function readDraft<T>(name: string): T | null {
  try {
    const text = globalThis.localStorage?.getItem(key(name));
    return text ? (JSON.parse(text) as T) : null;
  } catch {
    return null;
  }
}

export function writeDraft(name: string, value: unknown): void {
  try {
    globalThis.localStorage?.setItem(key(name), JSON.stringify(value));
  } catch {
    // A full or forbidden store costs the safety copy, not the work on screen.
  }
}

export function dropDraft(name: string): void {
  globalThis.localStorage?.removeItem(key(name));
}
