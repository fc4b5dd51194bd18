export { acceptedRefit, notAsked, REFIT_KINDS, type RefitChange, type RefitPart, type RefitSide } from './change';
export { refitChart, type Refit } from './refitChart';
