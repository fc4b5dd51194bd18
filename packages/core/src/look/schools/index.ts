export { adviseSchools, type SchoolAdvice } from './advice';
export {
  SCHOOL_ANSWERS,
  SCHOOL_NAMES,
  SCHOOL_QUESTIONS,
  schoolsInWords,
  type Answer,
  type School,
  type SchoolAnswers,
} from './questions';
export { fitInStudio } from './fitInStudio';
export { inSchoolsOf, withSchool } from './withSchool';
