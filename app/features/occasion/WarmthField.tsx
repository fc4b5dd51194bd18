import { useState } from 'react';
import { inCelsius, msg, term, usualConditions, type Manner, type Occasion } from '@toile/core';
import { Column, Field, Label } from '../../ui';
import { mannerNow } from '../words/dates';

/** From here on products run and faces sweat: heat is minded, °C. */
const HEAT_FROM = 27;
/** What nobody stands in, °C. */
const LIKELY = { least: -40, most: 55 } as const;

/** What was typed, in °C; null for nothing, NaN for what is no temperature a day has. */
function celsiusOf(typed: string, unit: Manner['temperature']): number | null {
  if (typed.trim() === '') return null;
  const celsius = inCelsius(Number(typed.trim().replace(',', '.')), unit);
  return celsius >= LIKELY.least && celsius <= LIKELY.most ? celsius : Number.NaN;
}

/**
 * How warm it will be, in the studio's unit: whether the day brings heat follows, and can be chosen
 * otherwise.
 */
export function WarmthField({
  value,
  onChange,
}: {
  readonly value: Occasion;
  readonly onChange: (occasion: Occasion) => void;
}) {
  const unit = mannerNow().temperature;
  const [typed, setTyped] = useState('');
  const celsius = celsiusOf(typed, unit);
  const known = celsius !== null && !Number.isNaN(celsius);
  const type = (text: string): void => {
    setTyped(text);
    const next = celsiusOf(text, unit);
    if (next === null || Number.isNaN(next)) return;
    const others = (value.conditions ?? usualConditions(value.kind)).filter((one) => one !== 'heat');
    onChange({ ...value, conditions: next >= HEAT_FROM ? [...others, 'heat'] : [...others] });
  };
  return (
    <Column gap="$1">
      <Field
        label={msg`Warmest it will be, ${term(unit)}`}
        keyboard="decimal"
        value={typed}
        onChange={type}
        error={
          celsius !== null && !known
            ? msg`A temperature in ${term(unit)}, as ${unit === '°C' ? '31' : '88'}`
            : undefined
        }
      />
      {known ? (
        <Label role="status">
          {celsius >= HEAT_FROM ? msg`That is heat: it is minded.` : msg`That is no heat.`}
        </Label>
      ) : null}
    </Column>
  );
}
