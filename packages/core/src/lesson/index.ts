export { lessonFrom, stepsCounted, type Lesson, type LessonAsk, type LessonStep } from './lesson';
export { toolsAskedOf } from './tools';
export {
  compactFrom,
  compactNotes,
  compactProblems,
  CompactSchema,
  movePanTo,
  notInPan,
  placeName,
  tinAsPalette,
  withoutBarred,
  type Compact,
  type CompactAsk,
  type CompactNotes,
  type CompactPlace,
  type PanNote,
} from './compact';
export {
  compactChanges,
  lessonChanges,
  renewedCompact,
  seasonChart,
  seasonOf,
  type SeasonLine,
} from './seasons';
