import { useState } from 'react';
import {
  ASKED_MEASUREMENTS,
  measure,
  MEASUREMENTS,
  msg,
  term,
  type Landmarks,
  type MeasurementName,
} from '@toile/core';
import { Body, Button, Column, Field, Label, Line, Subheading, useWide, View } from '../../ui';
import type { TypedMeasurements } from './traceView';

const SMALL = [
  'lidShowLeft',
  'lidShowRight',
  'upperLip',
  'lowerLip',
  'eyeWidth',
  'eyeOpening',
] as const satisfies readonly MeasurementName[];
const SIDES_DIFFER = ['eyeTilt', 'mouthTilt', 'jawDifference'] as const satisfies readonly MeasurementName[];

type TapeGuideProps = {
  readonly typed: TypedMeasurements;
  readonly errors: Readonly<Partial<Record<MeasurementName, string>>>;
  readonly landmarks: Landmarks;
  readonly onType: (name: MeasurementName, text: string) => void;
  /** The measurement being taken, so that the drawing shows where the tape goes. */
  readonly current: MeasurementName | null;
  readonly onCurrent: (name: MeasurementName | null) => void;
};

/** Twelve measurements one by one, or all as a list; then the small ones, and where the sides differ. */
export function TapeGuide({ typed, errors, landmarks, onType, current, onCurrent }: TapeGuideProps) {
  const wide = useWide();
  const [all, setAll] = useState(false);
  const field = (name: MeasurementName, one = false) => (
    <View key={name} width={wide && !one ? '47%' : '100%'}>
      <Field
        label={term(MEASUREMENTS[name].label)}
        unit={msg`mm`}
        keyboard="decimal"
        value={typed[name] ?? ''}
        placeholder={msg`about ${measure(name, landmarks).toFixed(0)}`}
        hint={term(MEASUREMENTS[name].how)}
        error={errors[name]}
        onChange={(text) => onType(name, text)}
        onFocus={() => onCurrent(name)}
        {...(one ? { onSubmit: () => step(1) } : {})}
      />
    </View>
  );
  const at = Math.max(
    0,
    ASKED_MEASUREMENTS.findIndex((name) => name === current),
  );
  const name = ASKED_MEASUREMENTS[at]!;
  const step = (by: 1 | -1): void =>
    onCurrent(ASKED_MEASUREMENTS[Math.max(0, Math.min(ASKED_MEASUREMENTS.length - 1, at + by))]!);
  return (
    <Column gap="$3">
      <Line justifyContent="space-between">
        <Subheading>{msg`Twelve measurements`}</Subheading>
        <Button onPress={() => (setAll((a) => !a), onCurrent(null))}>
          {all ? msg`One by one` : msg`All in a list`}
        </Button>
      </Line>
      {all ? (
        <View flexDirection="row" flexWrap="wrap" gap="$3">
          {ASKED_MEASUREMENTS.map((n) => field(n))}
        </View>
      ) : (
        <Column gap="$2" role="group" aria-label={msg`One measurement`}>
          <Label aria-live="polite">{msg`${at + 1} of ${ASKED_MEASUREMENTS.length}; the line on the face shows where the tape goes`}</Label>
          {field(name, true)}
          <Line flexWrap="nowrap">
            <Button grow disabled={at === 0} onPress={() => step(-1)}>{msg`Back`}</Button>
            <Button grow kind="main" disabled={at === ASKED_MEASUREMENTS.length - 1} onPress={() => step(1)}>
              {typed[name]?.trim() ? msg`Next` : msg`Skip`}
            </Button>
          </Line>
        </Column>
      )}
      <Subheading>{msg`When eye or lip drawing matters`}</Subheading>
      <View flexDirection="row" flexWrap="wrap" gap="$3">
        {SMALL.map((n) => field(n))}
      </View>
      <Subheading>{msg`Where the sides differ`}</Subheading>
      <Body>{msg`Measured from the middle or level with the other side; leave empty when they are even.`}</Body>
      <View flexDirection="row" flexWrap="wrap" gap="$3">
        {SIDES_DIFFER.map((n) => field(n))}
      </View>
    </Column>
  );
}
