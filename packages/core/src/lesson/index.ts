export { lessonFrom, stepsCounted, type Lesson, type LessonAsk, type LessonStep } from './lesson';
export { toolsAskedOf } from './tools';
