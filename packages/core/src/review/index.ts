export {
  acceptFinding,
  cautionsOf,
  isAboutPlace,
  reviewChart,
  reviewPlaces,
  RULE_GROUPS,
  RULES,
  type ReviewFinding,
  type RuleGrades,
  type Mended,
  type Mending,
} from './reviewChart';
export { chartAsReviewed } from './notes';
export { SEVERITIES, type Fix, type Found, type Rule, type Severity } from './rule';
export { acceptsOrder, orderChoices, type ChartOrderChoice } from './orderChoices';
