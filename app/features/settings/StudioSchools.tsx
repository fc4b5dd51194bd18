import { useState } from 'react';
import {
  msg,
  SCHOOL_NAMES,
  SCHOOL_QUESTIONS,
  type Answer,
  type School,
  type SchoolAnswers,
} from '@toile/core';
import type { StudioSettingsAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Label, Line } from '../../ui';
import { SchoolQuestion } from '../chart/SchoolQuestion';

/**
 * The studio's way in what schools do differently: looks are fitted that way; a question left open is done as
 * the look says.
 */
export function StudioSchools({
  answer,
  mayChange,
}: {
  readonly answer: StudioSettingsAnswer;
  readonly mayChange: boolean;
}) {
  const refresh = useRefresh();
  const [open, setOpen] = useState(false);
  const { failure, save } = useSaving();
  const schools = answer.settings.schools ?? {};
  const decided = SCHOOL_NAMES.filter((school) => schools[school] !== undefined);

  const keep = async (next: Partial<SchoolAnswers>): Promise<void> => {
    const body = { ...answer.settings, schools: next };
    const saved = await save(() => call('updateStudioSettings', { body, revision: answer.revision }));
    if (saved) await refresh({ name: 'studioSettings', params: {}, answer: saved });
  };
  const decide = <S extends School>(school: S, chosen: Answer<S>): void =>
    void keep({ ...schools, [school]: chosen });
  const leave = (school: School): void => {
    const { [school]: _left, ...others } = schools;
    void keep(others);
  };

  return (
    <Column gap="$2" role="group" aria-label={msg`The studio’s way`}>
      <Label>
        {decided.length === 0
          ? msg`Every look is done as it says.`
          : decided.map((school) => `${SCHOOL_QUESTIONS[school]}: ${schools[school]}`).join(' · ')}
      </Label>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {mayChange ? (
        <Line>
          <Button onPress={() => setOpen((o) => !o)}>
            {open ? msg`Close the studio’s way` : msg`Change the studio’s way`}
          </Button>
        </Line>
      ) : null}
      {open
        ? SCHOOL_NAMES.map((school) => (
            <Column key={school} gap="$1">
              <SchoolQuestion school={school} answer={schools[school]} onAnswer={decide} />
              {schools[school] !== undefined ? (
                <Line>
                  <Button
                    label={msg`${SCHOOL_QUESTIONS[school]}: as the look says`}
                    onPress={() => leave(school)}
                  >{msg`As the look says`}</Button>
                </Line>
              ) : null}
            </Column>
          ))
        : null}
    </Column>
  );
}
