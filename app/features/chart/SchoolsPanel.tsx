import { useState } from 'react';
import {
  adviseSchools,
  msg,
  SCHOOL_NAMES,
  schoolsInWords,
  term,
  withSchool,
  type Answer,
  type Chart,
  type School,
} from '@toile/core';
import { Body, Button, Column, Label, Line } from '../../ui';
import { SchoolQuestion } from './SchoolQuestion';

type SchoolsPanelProps = {
  readonly chart: Chart;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
};

/**
 * The ways of doing a chart follows: each can be changed, which puts the steps in its order and says what
 * else changes.
 */
export function SchoolsPanel({ chart, editable, onChange }: SchoolsPanelProps) {
  const [open, setOpen] = useState(false);
  const [says, setSays] = useState<readonly string[]>([]);
  const advice = adviseSchools(chart);
  const change = <S extends School>(school: S, answer: Answer<S>): void => {
    const next = withSchool(chart, school, answer);
    setSays(next.says);
    onChange(next.chart);
  };
  return (
    <Column gap="$2" role="group" aria-label={msg`School`}>
      <Line justifyContent="space-between" flexWrap="nowrap">
        <Label flex={1}>{schoolsInWords(chart.schools)}</Label>
        {editable ? (
          <Button
            label={open ? msg`Close the school` : msg`Change the school`}
            onPress={() => setOpen((o) => !o)}
          >
            {open ? msg`Close` : msg`Change`}
          </Button>
        ) : null}
      </Line>
      {editable
        ? advice.map(({ school, answer, why }) => (
            <Line key={school} flexWrap="nowrap">
              <Body flex={1}>{`· ${why}`}</Body>
              <Button label={msg`Take the advice: ${term(answer)}`} onPress={() => change(school, answer)}>
                {term(answer)}
              </Button>
            </Line>
          ))
        : null}
      {says.map((words) => (
        <Body key={words} color="$weld" role="status">{`▲ ${words}`}</Body>
      ))}
      {open
        ? SCHOOL_NAMES.map((school) => (
            <SchoolQuestion key={school} school={school} answer={chart.schools[school]} onAnswer={change} />
          ))
        : null}
    </Column>
  );
}
