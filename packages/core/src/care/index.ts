export { accessInWords, type AccessNeed } from './access';
export {
  ACCESS_NEEDS,
  answerInWords,
  CONSULT_QUESTIONS,
  ConsultSchema,
  PHOTO_CONSENTS,
  MOST_SENSITIVITIES,
  takenOver,
  withoutConsent,
  type Consult,
  type Consulted,
  type ConsultKey,
  type ConsultQuestion,
} from './consult';
export { dislikesOf, type Dislike } from './dislikes';
export { DISLIKE_KINDS, type DislikeKind } from './dislikeWords';
export { heedInWords, heedsOf, type Heed } from './heeds';
export { HEED_KINDS, type HeedKind } from './heedWords';
export { IncidentSchema, type Incident } from './incident';
export { SENSITIVITIES, type Sensitivity } from './allergenWords';
export {
  CHILD_UNDER,
  consentMissing,
  featuresAtAge,
  MINOR_UNDER,
  minorInWords,
  minorityOn,
  photographRefused,
  type Minority,
} from './minor';
export { mindedNow, notedBy, type NotedNow, type NotedRecord } from './mindedNow';
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
export {
  familiesMeant,
  mindedInShort,
  ingredientsKnown,
  isKnownByName,
  matchAllergens,
  toBeMinded,
  type AllergenMatch,
} from './matchAllergens';
export { sensitivitiesFromText } from './sensitivitiesFromText';
