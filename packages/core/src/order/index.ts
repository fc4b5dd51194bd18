export { asGiven, greedyWeave, weave, type Link, type Task, type Weave } from './weave';
export { nextStep, type NextStep, type RunningWait } from './nextStep';
export { ownTimings, withOwnTimings, workOf, workSamples, type OwnTiming, type Work, type WorkSample } from './timings';
export { fewestMoves, movesBetween, type OrderChoice } from './fewestMoves';
export { linksOf, weaveSteps, type StepChoice, type StepOrder, type TimedStep, type WovenSteps } from './weaveSteps';
