import { FINISHES, PRODUCT_KINDS, type Finish, type Look, type ProductKind } from '@toile/core';

/** A look's name and rules as they are typed. */
export type LookForm = {
  readonly name: string;
  readonly description: string;
  /** Words divided by commas. */
  readonly tags: string;
  readonly finishes: readonly Finish[];
  readonly kinds: readonly ProductKind[];
};

export const EMPTY_LOOK_FORM: LookForm = { name: '', description: '', tags: '', finishes: [], kinds: [] };
export const FORBIDDABLE_FINISHES = FINISHES;
/** What a look can do without; prep and base are always there. */
export const FORBIDDABLE_KINDS = PRODUCT_KINDS.filter((kind) => !['prep', 'primer', 'base', 'adjuster'].includes(kind));

export function formOf(look: Look): LookForm {
  return { name: look.name, description: look.description, tags: look.tags.join(', '), finishes: look.forbids.finishes, kinds: look.forbids.kinds };
}

/** Tags as the look keeps them: trimmed, once each, twenty at most. */
export function tagsOf(form: LookForm): string[] {
  return [...new Set(form.tags.split(',').map((tag) => tag.trim()))].filter((tag) => tag !== '').slice(0, 20);
}

/** What keeps the form from being saved, by field. */
export function errorsOf(form: LookForm): { readonly name?: string } {
  return form.name.trim() === '' ? { name: 'Give the look a name' } : {};
}
