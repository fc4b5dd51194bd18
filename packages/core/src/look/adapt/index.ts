export { adaptationInWords, ADAPTERS, adaptLook, type AdaptedLook } from './adaptLook';
export { isWholeStep, refuseAdaptation, withoutAdaptations } from './refuse';
export { followDay, inAmountAsked, type FollowedDay } from './followDay';
export { askedAnew, type AskedAnew, type MadeFor } from './askedAnew';
