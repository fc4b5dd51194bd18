export { SENSITIVITIES, type Sensitivity } from './allergenWords';
export { mindedNow, type NotedNow } from './mindedNow';
export {
  PATCH_PLACES,
  PATCH_RESULTS,
  PatchMindedSchema,
  patchMinded,
  patchSpeaksAgainst,
  patchState,
  PatchTestSchema,
  READ_AT_HOURS,
  type PatchMinded,
  type PatchResult,
  type PatchState,
  type PatchTest,
  type PatchVerdict,
} from './patchTest';
export { familiesMeant, ingredientsKnown, matchAllergens, type AllergenMatch } from './matchAllergens';
