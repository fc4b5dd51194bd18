export { lineMiss, type LineMiss } from './lineMiss';
export { softOverlap, type SoftPatch } from './softOverlap';
export {
  scoreOfMiss,
  halfMissMm,
  gradeOf,
  joined,
  LINE_PARTS,
  type Grade,
  type Part,
  type PartName,
} from './score';
export { scoreOrder, scoreSteps, scoreRegret, spanOverlap, scorePicks, type StepLink } from './answers';
export { patchMiss, scorePatch } from './patch';
export { pumped, pumpPairs, type Pump } from './twoPumps';
export { practiceSchedule, type PracticeCard } from './schedule';
export { feedback, type LineTask } from './feedback';
export { practiceFace } from './practiceFace';
export { fadeMiss, scoreLine, type LineGuide, type LineScored } from './scoreLine';
export { SKILLS, skillForGuide, skillNamed, type LineSkill, type PatchSkill, type Skill } from './skills';
export {
  exercise,
  LEVELS,
  type BrokenExercise,
  type CorrectorExercise,
  type DrawnExercise,
  type Exercise,
  type Level,
  type LineExercise,
  type MixExercise,
  type PanExercise,
  type PatchExercise,
  type StepsExercise,
} from './exercise';
export { corrected } from './corrector';
export { judge, type AttemptJudged, type Given } from './judge';
export {
  dueFirst,
  practiceNow,
  PracticeEventSchema,
  PracticeToldSchema,
  weekSkill,
  type Attempt,
  type PracticeEvent,
  type PracticeTold,
  type SkillNow,
} from './log';
