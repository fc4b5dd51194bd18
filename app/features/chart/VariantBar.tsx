import { useState } from 'react';
import { msg, withoutVariant, withVariant, type Chart } from '@toile/core';
import { newId } from '@toile/contract';
import { Button, Choice, Column, Field, Label, Line } from '../../ui';

type VariantBarProps = {
  readonly chart: Chart;
  /** The variant looked at, or null for the plan. */
  readonly chosen: string | null;
  readonly onChoose: (variant: string | null) => void;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
};

const PLAN = 'as planned';

/** The plan and its variants, an evening lip or a dance floor eye: looked at, added, taken away. */
export function VariantBar({ chart, chosen, onChoose, editable, onChange }: VariantBarProps) {
  const [name, setName] = useState<string | null>(null);
  const variant = chart.variants.find((v) => v.id === chosen) ?? null;
  const known = chart.variants.some((v) => v.name.toLowerCase() === name?.trim().toLowerCase());
  const add = (): void => {
    if (!name?.trim() || known) return;
    const id = newId();
    onChange(withVariant(chart, id, name));
    onChoose(id);
    setName(null);
  };
  if (chart.variants.length === 0 && !editable) return null;
  return (
    <Column gap="$2">
      {chart.variants.length > 0 ? (
        <Choice
          label={msg`Variant`}
          options={[PLAN, ...chart.variants.map((v) => v.id)]}
          words={Object.fromEntries(chart.variants.map((v) => [v.id, v.name]))}
          chosen={[variant?.id ?? PLAN]}
          onChange={([v]) => onChoose(v === undefined || v === PLAN ? null : v)}
        />
      ) : null}
      {variant && editable ? (
        <Label>{msg`Open a step, then How, to do it otherwise in ${variant.name}. Everything else stays as planned.`}</Label>
      ) : null}
      {editable ? (
        name === null ? (
          <Line>
            {chart.variants.length < 12 ? (
              <Button onPress={() => setName('')}>{msg`Add a variant`}</Button>
            ) : null}
            {variant ? (
              <Button
                kind="stop"
                onPress={() => {
                  onChange(withoutVariant(chart, variant.id));
                  onChoose(null);
                }}
              >{msg`Take ${variant.name} away`}</Button>
            ) : null}
          </Line>
        ) : (
          <Column gap="$2">
            <Field
              label={msg`Name of the variant`}
              value={name}
              onChange={setName}
              placeholder={msg`Evening lip`}
              error={known ? msg`There is one of this name` : undefined}
            />
            <Line>
              <Button kind="main" disabled={name.trim() === '' || known} onPress={add}>{msg`Add it`}</Button>
              <Button onPress={() => setName(null)}>{msg`Leave it`}</Button>
            </Line>
          </Column>
        )
      ) : null}
    </Column>
  );
}
