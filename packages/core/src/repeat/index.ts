export {
  acceptedRefit,
  notAsked,
  REFIT_KINDS,
  type RefitChange,
  type RefitPart,
  type RefitSide,
} from './change';
export { planFromWorn } from './planFromWorn';
export { refitChart, type Refit } from './refitChart';
