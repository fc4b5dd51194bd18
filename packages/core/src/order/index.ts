export { asGiven, greedyWeave, weave, type Link, type Task, type Weave } from './weave';
export { nextStep, type NextStep, type RunningWait } from './nextStep';
export { linksOf, weaveSteps, type StepOrder, type TimedStep, type WovenSteps } from './weaveSteps';
