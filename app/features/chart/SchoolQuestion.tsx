import { SCHOOL_ANSWERS, SCHOOL_QUESTIONS, type Answer, type School } from '@toile/core';
import { Choice } from '../../ui';

type SchoolQuestionProps<S extends School> = {
  readonly school: S;
  /** Undefined when it is left open. */
  readonly answer: Answer<S> | undefined;
  readonly onAnswer: (school: S, answer: Answer<S>) => void;
};

/** One question schools answer differently, with its answers. */
export function SchoolQuestion<S extends School>({ school, answer, onAnswer }: SchoolQuestionProps<S>) {
  return (
    <Choice<Answer<S>>
      label={SCHOOL_QUESTIONS[school]}
      options={SCHOOL_ANSWERS[school]}
      chosen={answer === undefined ? [] : [answer]}
      onChange={([chosen]) => chosen && onAnswer(school, chosen)}
    />
  );
}
