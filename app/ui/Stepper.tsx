import { msg } from '@toile/core';
import { Button } from './Button';
import { Column, Line } from './layout';
import { Figure, Label } from './Text';

type StepperProps = {
  readonly label: string;
  readonly value: number;
  readonly unit: string;
  readonly minimum: number;
  readonly maximum: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
};

/** A number moved by touch or keys, held between its ends. */
export function Stepper({ label, value, unit, minimum, maximum, step, onChange }: StepperProps) {
  const move = (by: number): void =>
    onChange(Math.max(minimum, Math.min(maximum, Number((value + by).toFixed(3)))));
  return (
    <Column gap="$1" role="group" aria-label={label}>
      <Label>{label}</Label>
      <Line gap="$1" flexWrap="nowrap">
        <Button label={msg`${label}: less`} onPress={() => move(-step)} disabled={value <= minimum}>
          −
        </Button>
        <Figure minWidth={60} textAlign="center" aria-live="polite">{`${value} ${unit}`}</Figure>
        <Button label={msg`${label}: more`} onPress={() => move(step)} disabled={value >= maximum}>
          +
        </Button>
      </Line>
    </Column>
  );
}
