export { adaptationInWords, ADAPTERS, adaptLook, refuseAdaptation, withoutAdaptations, type AdaptedLook } from './adaptLook';
