import { CARE } from './care';
import type { Case } from './case';
import { CLIENT, DAY_CASES } from './clientAndDay';
import { COLOUR } from './colour';
import { DIRECTION } from './direction';
import { EYE } from './eye';
import { LAYERS } from './layers';
import { AMOUNTS, KIT_CASES, ORDER, PLACES } from './placeAndKit';

/** Sound charts that must stay quiet and charts broken in one stated way: what the review is held against. */
export const CORPUS: readonly Case[] = [
  ...DIRECTION,
  ...COLOUR,
  ...EYE,
  ...CLIENT,
  ...DAY_CASES,
  ...AMOUNTS,
  ...CARE,
  ...LAYERS,
  ...PLACES,
  ...ORDER,
  ...KIT_CASES,
];

export { TOPICS, type Case, type Topic } from './case';
export { judge, score, type Score, type Verdict } from './judge';
