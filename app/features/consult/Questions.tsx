import { CONSULT_QUESTIONS, msg, type Consult } from '@toile/core';
import { Body, Column, Label } from '../../ui';
import { QuestionField } from './QuestionField';

/** Every question of a first talk; those on health once it was said that their answers may be kept. */
export function Questions({
  answers,
  onChange,
  errors,
}: {
  readonly answers: Consult;
  readonly onChange: (answers: Consult) => void;
  /** By the question's key. */
  readonly errors: Readonly<Record<string, string>>;
}) {
  const keeps = answers.keepHealth === true;
  const change = (next: Consult): void => {
    if (next.keepHealth === true) return onChange(next);
    // Without the consent nothing on health is sent, also when it was given and taken back.
    const { sensitivities: _s, conditions: _c, treatments: _t, ...rest } = next;
    onChange(rest);
  };
  return (
    <Column gap="$4">
      {CONSULT_QUESTIONS.filter(({ health }) => keeps || !health).map((question) => (
        <Column key={question.key} gap="$1">
          <QuestionField
            question={question}
            answers={answers}
            onChange={change}
            error={errors[question.key]}
          />
          {question.key === 'keepHealth' && question.hint ? <Label>{question.hint}</Label> : null}
          {question.kind !== 'words' && question.kind !== 'line' && errors[question.key] ? (
            <Body role="alert" color="$madder">{`▲ ${errors[question.key]}`}</Body>
          ) : null}
        </Column>
      ))}
      <Label>{msg`Nothing here is a diagnosis, and nothing is needed that you would rather not say. For skin or eyes under treatment, ask whoever treats them first.`}</Label>
    </Column>
  );
}
