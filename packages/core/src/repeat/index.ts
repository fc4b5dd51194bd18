export {
  acceptedRefit,
  notAsked,
  productChange,
  REFIT_KINDS,
  type RefitChange,
  type RefitPart,
  type RefitSide,
} from './change';
export { planFromWorn } from './planFromWorn';
export { withTaught } from './withTaught';
export { refitChart, type Refit } from './refitChart';
