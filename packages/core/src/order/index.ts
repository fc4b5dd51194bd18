export { asGiven, greedyWeave, weave, type Link, type Task, type Weave } from './weave';
export { fewestMoves, movesBetween, type OrderChoice } from './fewestMoves';
export {
  linksOf,
  minutesAsGiven,
  weaveSteps,
  type StepChoice,
  type StepOrder,
  type TimedStep,
  type WovenSteps,
} from './weaveSteps';
