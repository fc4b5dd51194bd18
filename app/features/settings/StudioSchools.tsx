import { useState } from 'react';
import { SCHOOL_NAMES, SCHOOL_QUESTIONS, type Answer, type School, type SchoolAnswers } from '@toile/core';
import type { StudioSettingsAnswer } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { useRefresh } from '../../data/hooks';
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
  const [failure, setFailure] = useState<string | null>(null);
  const schools = answer.settings.schools ?? {};
  const decided = SCHOOL_NAMES.filter((school) => schools[school] !== undefined);

  const save = async (next: Partial<SchoolAnswers>): Promise<void> => {
    setFailure(null);
    try {
      const saved = await call('updateStudioSettings', {
        body: { ...answer.settings, schools: next },
        revision: answer.revision,
      });
      await refresh({ name: 'studioSettings', params: {}, answer: saved });
    } catch (error) {
      setFailure(error instanceof CallError ? error.message : 'Something went wrong. Try again.');
    }
  };
  const decide = <S extends School>(school: S, chosen: Answer<S>): void =>
    void save({ ...schools, [school]: chosen });
  const leave = (school: School): void => {
    const { [school]: _left, ...others } = schools;
    void save(others);
  };

  return (
    <Column gap="$2" role="group" aria-label="The studio’s way">
      <Label>
        {decided.length === 0
          ? 'Every look is done as it says.'
          : decided.map((school) => `${SCHOOL_QUESTIONS[school]}: ${schools[school]}`).join(' · ')}
      </Label>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {mayChange ? (
        <Line>
          <Button onPress={() => setOpen((o) => !o)}>
            {open ? 'Close the studio’s way' : 'Change the studio’s way'}
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
                    label={`${SCHOOL_QUESTIONS[school]}: as the look says`}
                    onPress={() => leave(school)}
                  >
                    As the look says
                  </Button>
                </Line>
              ) : null}
            </Column>
          ))
        : null}
    </Column>
  );
}
