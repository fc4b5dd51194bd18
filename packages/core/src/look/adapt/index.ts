export { ADAPTERS, adaptLook, refuseAdaptation, type AdaptedLook } from './adaptLook';
