import {
  FINISHES,
  FORBIDDEN_PLACES,
  msg,
  PRODUCT_KINDS,
  SHAPES,
  term,
  type Finish,
  type ForbiddenPlace,
  type Look,
  type ProductKind,
  type Shape,
} from '@toile/core';

/** A look's name and rules as they are typed. */
export type LookForm = {
  readonly name: string;
  readonly description: string;
  /** Words divided by commas. */
  readonly tags: string;
  readonly finishes: readonly Finish[];
  readonly kinds: readonly ProductKind[];
  /** Where nothing may lie. */
  readonly places: readonly ForbiddenPlace[];
  /** What a period or theme asks of a shape. */
  readonly shapes: readonly Shape[];
};

export const EMPTY_LOOK_FORM: LookForm = {
  name: '',
  description: '',
  tags: '',
  finishes: [],
  kinds: [],
  places: [],
  shapes: [],
};
export const FORBIDDABLE_FINISHES = FINISHES;
/** What a look can do without; prep and base are always there. */
export const FORBIDDABLE_KINDS = PRODUCT_KINDS.filter(
  (kind) => !['prep', 'primer', 'base', 'adjuster'].includes(kind),
);

export function formOf(look: Look): LookForm {
  const { finishes, kinds, places = [], shapes = [] } = look.forbids;
  return {
    name: look.name,
    description: look.description,
    tags: look.tags.join(', '),
    finishes,
    kinds,
    places,
    shapes,
  };
}

/** The prohibitions of the form as the look keeps them. */
export function forbidsOfForm({ finishes, kinds, places, shapes }: LookForm): Look['forbids'] {
  return {
    finishes: [...finishes],
    kinds: [...kinds],
    ...(places.length > 0 ? { places: [...places] } : {}),
    ...(shapes.length > 0 ? { shapes: [...shapes] } : {}),
  };
}

/** What a look never has and what it asks for, in words. */
export function forbidsInWords({ finishes, kinds, places = [], shapes = [] }: Look['forbids']): string {
  return [
    finishes.length + kinds.length > 0
      ? msg`never ${[...finishes.map((one) => term(one)), ...kinds.map((one) => term(one))].join(', ')}`
      : null,
    ...places.map((place) => FORBIDDEN_PLACES[place].words),
    ...shapes.map((shape) => SHAPES[shape].words),
  ]
    .filter(Boolean)
    .join('; ');
}

/** Tags as the look keeps them: trimmed, once each, twenty at most. */
export function tagsOf(form: LookForm): string[] {
  return [...new Set(form.tags.split(',').map((tag) => tag.trim()))].filter((tag) => tag !== '').slice(0, 20);
}

/** What keeps the form from being saved, by field. */
export function errorsOf(form: LookForm): { readonly name?: string } {
  return form.name.trim() === '' ? { name: msg`Give the look a name` } : {};
}
