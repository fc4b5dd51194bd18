import { useState } from 'react';
import { msg, type Lab } from '@toile/core';
import { Button } from './Button';
import { Field } from './Field';
import { Column, Line, View } from './layout';
import { Label } from './Text';

type LabFieldProps = {
  readonly label: string;
  readonly button: string;
  readonly onLab: (lab: Lab) => void;
  /** Says what is wrong with a colour, or null. */
  readonly check?: (lab: Lab) => string | null;
  readonly start?: Lab | null;
};

/** What a surface can have at all. */
const anySurface = ([L, a, b]: Lab): string | null =>
  L >= 0 && L <= 100 && Math.abs(a) <= 128 && Math.abs(b) <= 128
    ? null
    : msg`No surface has this colour: L* is 0 to 100, a* and b* within 128 of 0`;

/** CIELAB typed as three numbers, decimal points or commas, checked before it is taken. */
export function LabField({ label, button, onLab, check = anySurface, start = null }: LabFieldProps) {
  const [values, setValues] = useState<readonly string[]>(() =>
    start ? start.map((v) => String(v)) : ['', '', ''],
  );
  const [error, setError] = useState<string | undefined>();
  const add = (): void => {
    const [L, a, b] = values.map((v) => (v.trim() === '' ? Number.NaN : Number(v.replace(',', '.'))));
    const lab: Lab = [L!, a!, b!];
    if (!lab.every(Number.isFinite)) return setError(msg`Three numbers: L*, a* and b*`);
    const wrong = check(lab);
    setError(wrong ?? undefined);
    if (wrong) return;
    if (!start) setValues(['', '', '']);
    onLab(lab);
  };
  return (
    <Column gap="$2" role="group" aria-label={label}>
      <Label>{label}</Label>
      <Line flexWrap="nowrap" alignItems="flex-start">
        {['L*', 'a*', 'b*'].map((name, i) => (
          <View key={name} flex={1} flexBasis={0} minWidth={0}>
            <Field
              label={name}
              keyboard="decimal"
              value={values[i]!}
              onChange={(text) => setValues((all) => all.map((v, k) => (k === i ? text : v)))}
              error={i === 0 ? error : undefined}
              onSubmit={add}
            />
          </View>
        ))}
      </Line>
      <Button onPress={add}>{button}</Button>
    </Column>
  );
}
