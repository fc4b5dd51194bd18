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

/** Written by this page: they wait in it also where the device keeps nothing. */
const written = new Set<string>();

export function writeDraft(name: string, value: unknown): void {
  written.add(name);
  try {
    globalThis.localStorage?.setItem(key(name), JSON.stringify(value));
  } catch {
    // A full or forbidden store costs the safety copy, not the work on screen.
  }
}

export function dropDraft(name: string): void {
  written.delete(name);
  globalThis.localStorage?.removeItem(key(name));
}

/**
 * What is typed into forms is its writer's own: kept under their address, and gone when someone else comes.
 */
const FORMS = 'toile.draft.form.';
let writer = '';

/** Says who types from now on; what others left in forms on this device is dropped. */
export function draftsBelongTo(email: string): void {
  if (email === writer) return;
  writer = email;
  dropForms((name) => !name.startsWith(`${FORMS}${email}.`));
}

/** Drops whatever is in a form on this device: its writer signs out. */
export const dropAllForms = (): void => dropForms(() => true);

function dropForms(which: (name: string) => boolean): void {
  for (const name of written) if (key(name).startsWith(FORMS) && which(key(name))) written.delete(name);
  const store = globalThis.localStorage;
  if (!store) return;
  for (const name of Object.keys(store)) if (name.startsWith(FORMS) && which(name)) store.removeItem(name);
}

/** A form's draft, by the form and what it is about. */
export const formDraft = (name: string): string => `form.${writer}.${name}`;

/**
 * The revision a form's draft began from, where its name ends in one: the newest that waits here, or null.
 */
export function draftedRevision(name: string): number | null {
  const start = key(`${formDraft(name)} `);
  const found = Object.keys(globalThis.localStorage ?? {})
    .filter((kept) => kept.startsWith(start))
    .map((kept) => Number(kept.slice(start.length)))
    .filter(Number.isInteger);
  return found.length === 0 ? null : Math.max(...found);
}

/** Whether anything typed into a form waits to be saved, from whatever revision it began. */
export const draftWaits = (name: string): boolean =>
  draftedRevision(name) !== null || [...written].some((one) => one.startsWith(`${formDraft(name)} `));

/** Drops whatever on this device is about something that was erased: by its name, or by what is in it. */
export function dropDraftsOf(words: readonly string[]): void {
  const store = globalThis.localStorage;
  if (!store) return;
  for (const name of Object.keys(store)) {
    if (!name.startsWith('toile.draft.')) continue;
    const text = `${name} ${store.getItem(name) ?? ''}`;
    if (words.some((word) => word !== '' && text.includes(word))) store.removeItem(name);
  }
}
