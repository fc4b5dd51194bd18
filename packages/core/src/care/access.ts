import { messages } from '../messages';
import type { ACCESS_NEEDS } from './consult';

export type AccessNeed = (typeof ACCESS_NEEDS)[number];

/** What makes it easier for somebody, as whoever works minds it. */
const IN_WORDS: Readonly<Record<AccessNeed, string>> = messages({
  tremor: 'Tremor: rest the hand, short strokes, breaks.',
  'cannot recline': 'Cannot recline: sitting upright with the head supported, worked from in front.',
  'cannot wait long': 'Cannot wait long: called when the chair is free, told how long each part takes.',
  breaks: 'Needs breaks: one between every few steps, and whenever asked for.',
  'quiet room': 'Needs it quiet: few people and voices, no music unless wished for.',
  'hard of hearing': 'Hard of hearing: speak face to face, show before touching.',
  'sees little': 'Sees little: say what comes before touching.',
});

/** A need as a sentence to mind. */
export const accessInWords = (need: AccessNeed): string => IN_WORDS[need];
