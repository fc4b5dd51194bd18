import { useState } from 'react';
import { adviseSchools, SCHOOL_ANSWERS, SCHOOL_QUESTIONS, withSchool, type Chart, type School, type SchoolAnswers } from '@toile/core';
import { Body, Button, Choice, Column, Label, Line } from '../../ui';

type SchoolsPanelProps = { readonly chart: Chart; readonly editable: boolean; readonly onChange: (chart: Chart) => void };

/** The ways of doing a chart follows: each can be changed, which puts the steps in its order and says what else changes. */
export function SchoolsPanel({ chart, editable, onChange }: SchoolsPanelProps) {
  const [open, setOpen] = useState(false);
  const [says, setSays] = useState<readonly string[]>([]);
  const advice = adviseSchools(chart);
  const change = <S extends School>(school: S, answer: SchoolAnswers[S]): void => {
    const next = withSchool(chart, school, answer);
    setSays(next.says);
    onChange(next.chart);
  };
  return (
    <Column gap="$2" role="group" aria-label="School">
      <Line justifyContent="space-between" flexWrap="nowrap">
        <Label flex={1}>
          {[chart.schools.eyesOrFace, `contour ${chart.schools.contour}`, `concealer ${chart.schools.concealer}`, `${chart.schools.contrast} contrast`].join(
            ' · ',
          )}
        </Label>
        {editable ? (
          <Button label={open ? 'Close the school' : 'Change the school'} onPress={() => setOpen((o) => !o)}>
            {open ? 'Close' : 'Change'}
          </Button>
        ) : null}
      </Line>
      {editable
        ? advice.map(({ school, answer, why }) => (
            <Line key={school} flexWrap="nowrap">
              <Body flex={1}>{`· ${why}`}</Body>
              <Button label={`Take the advice: ${answer}`} onPress={() => change(school, answer)}>
                {answer}
              </Button>
            </Line>
          ))
        : null}
      {says.map((words) => (
        <Body key={words} color="$weld" role="status">{`▲ ${words}`}</Body>
      ))}
      {open ? (
        <>
          <Question school="eyesOrFace" chart={chart} onChange={change} />
          <Question school="contour" chart={chart} onChange={change} />
          <Question school="concealer" chart={chart} onChange={change} />
          <Question school="contrast" chart={chart} onChange={change} />
        </>
      ) : null}
    </Column>
  );
}

type QuestionProps<S extends School> = { readonly school: S; readonly chart: Chart; readonly onChange: (school: S, answer: SchoolAnswers[S]) => void };

function Question<S extends School>({ school, chart, onChange }: QuestionProps<S>) {
  return (
    <Choice<SchoolAnswers[S]>
      label={SCHOOL_QUESTIONS[school]}
      options={SCHOOL_ANSWERS[school]}
      chosen={[chart.schools[school]]}
      onChange={([answer]) => answer && onChange(school, answer)}
    />
  );
}
