export { lessonFrom, type Lesson, type LessonAsk, type LessonStep } from './lesson';
