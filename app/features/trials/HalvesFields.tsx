import {
  GRADE_WORDS,
  messages,
  msg,
  term,
  trialZoneWords,
  type Side,
  type TrialMeasure,
  type TrialZone,
} from '@toile/core';
import { Body, Choice, Column, Label, Subheading } from '../../ui';
import { capital } from '../words/capital';
import { isGraded, MEASURE_ASKS, withGrade, type HalfLook } from './halfLook';

type HalvesFieldsProps = {
  readonly measure: TrialMeasure;
  readonly zones: readonly TrialZone[];
  readonly value: HalfLook;
  readonly onChange: (look: HalfLook) => void;
  /** Asked of the client before a mirror, or of whoever looks at the client. */
  readonly of: 'client' | 'artist';
};

/**
 * How both halves look, place by place: two touches each, in words. Facing the client, their right comes
 * first.
 */
export function HalvesFields({ measure, zones, value, onChange, of }: HalvesFieldsProps) {
  if (!isGraded(measure)) return <Label>{msg`The colour is read with the reader, not judged by eye.`}</Label>;
  const grades = GRADE_WORDS[measure];
  const options = grades.map((_, i) => String(i));
  const words = Object.fromEntries(grades.map((grade, i) => [String(i), grade]));
  const sides: readonly Side[] = of === 'client' ? ['left', 'right'] : ['right', 'left'];
  return (
    <Column gap="$4">
      <Body fontWeight="700">{MEASURE_ASKS[measure]}</Body>
      {zones.map((zone) => (
        <Column key={zone} gap="$2" role="group" aria-label={capital(trialZoneWords(zone))}>
          <Subheading>{capital(trialZoneWords(zone))}</Subheading>
          {sides.map((side) => {
            const grade = value.grades[zone]?.[side];
            return (
              <Choice
                key={side}
                label={of === 'client' ? msg`Your ${term(side)}` : msg`Client’s ${term(side)}`}
                options={options}
                words={words}
                chosen={grade === undefined ? [] : [String(grade)]}
                onChange={([chosen]) =>
                  chosen !== undefined && onChange(withGrade(value, zone, side, Number(chosen)))
                }
              />
            );
          })}
        </Column>
      ))}
    </Column>
  );
}

export const STING_WORDS = messages({ none: 'no', left: 'left', right: 'right', both: 'both' } as const);
export type Stings = keyof typeof STING_WORDS;

/** Whether a half stings: it is taken off, which counts against it. */
export function StingField({
  value,
  onChange,
}: {
  readonly value: Stings;
  readonly onChange: (stings: Stings) => void;
}) {
  return (
    <Column gap="$2">
      <Choice
        label={msg`It stings or burns`}
        options={['none', 'left', 'right', 'both']}
        words={STING_WORDS}
        chosen={[value]}
        onChange={([stings]) => stings && onChange(stings)}
      />
      {value === 'none' ? null : (
        <Body
          role="alert"
          color="$madder"
        >{msg`▲ Take it off now, with plenty of water at the eyes, and do not put it on again. If it does not pass, or an eye is hurt, see a doctor; the maker’s directions come first. This ends the trial, and counts against that half.`}</Body>
      )}
    </Column>
  );
}

/** A touch-up of either half ends what is compared there: from then on it is another wear. */
export function TouchedField({
  zones,
  value,
  onChange,
}: {
  readonly zones: readonly TrialZone[];
  readonly value: readonly TrialZone[];
  readonly onChange: (zones: readonly TrialZone[]) => void;
}) {
  return (
    <Column gap="$1">
      <Choice
        label={msg`Touched up just now`}
        options={zones}
        words={Object.fromEntries(zones.map((zone) => [zone, trialZoneWords(zone)]))}
        chosen={value}
        several
        onChange={onChange}
      />
      {value.length > 0 ? <Label>{msg`What is seen there later is no longer compared.`}</Label> : null}
    </Column>
  );
}
