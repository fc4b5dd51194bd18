export { asGiven, greedyWeave, weave, type Link, type Task, type Weave } from './weave';
export { linksOf, weaveSteps, type StepOrder, type TimedStep, type WovenSteps } from './weaveSteps';
