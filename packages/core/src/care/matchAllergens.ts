/** What clients are usually sensitive to, and the words an ingredient list has for it. */
export const SENSITIVITIES = ['latex', 'cyanoacrylate', 'fragrance', 'lanolin', 'nickel', 'carmine', 'nut oils', 'fibres', 'bismuth'] as const;
export type Sensitivity = (typeof SENSITIVITIES)[number];

const WORDS: Readonly<Record<Sensitivity, readonly RegExp[]>> = {
  latex: [/\blatex\b/, /\brubber\b/],
  cyanoacrylate: [/cyanoacrylate/],
  fragrance: [/\bfragrance\b/, /\bparfum\b/, /\blinalool\b/, /\blimonene\b/, /\bgeraniol\b/],
  lanolin: [/lanolin/, /\bwool (wax|fat|alcohol)/],
  nickel: [/\bnickel\b/],
  carmine: [/carmine/, /cochineal/, /\bci 75470\b/],
  'nut oils': [/\b(almond|hazelnut|walnut|macadamia|argan|peanut|pistachio|prunus amygdalus)\b/],
  fibres: [/\b(nylon|rayon|cellulose) fib(re|er)s?\b/, /\bfib(re|er)s?\b/],
  bismuth: [/bismuth/],
};

export type AllergenMatch = { readonly sensitivity: Sensitivity; readonly ingredient: string };

/**
 * Ingredients that speak against a product for someone with these sensitivities. A list of words, not a
 * finding: an empty answer is no promise, and the maker's own list decides.
 */
export function matchAllergens(ingredients: readonly string[], sensitivities: readonly Sensitivity[]): AllergenMatch[] {
  return sensitivities.flatMap((sensitivity) =>
    ingredients
      .filter((ingredient) => WORDS[sensitivity].some((word) => word.test(ingredient.toLowerCase())))
      .map((ingredient) => ({ sensitivity, ingredient })),
  );
}
