import {
  AMOUNTS_FIRST,
  CLOCKS,
  DAY_ORDERS,
  FIRST_WEEKDAYS,
  msg,
  TEMPERATURE_UNITS,
  term,
  USUAL_MANNER,
  type Manner,
} from '@toile/core';
import type { StudioSettingsAnswer } from '@toile/contract';
import { Body, Choice, Column } from '../../ui';
import { useStudioKept } from './useStudioKept';

/** How the studio tells things, one choice each. */
export function MannerFields({
  value,
  onChange,
}: {
  readonly value: Manner;
  readonly onChange: (manner: Manner) => void;
}) {
  const set = (change: Partial<Manner>): void => onChange({ ...value, ...change });
  return (
    <Column gap="$3">
      <Choice
        label={msg`Days`}
        options={DAY_ORDERS}
        words={{
          'day month': msg`Fri 14 Nov`,
          'month day': msg`Fri Nov 14`,
          'year month day': msg`Fri 2031-11-14`,
        }}
        chosen={[value.days]}
        onChange={([days]) => days && set({ days })}
      />
      <Choice
        label={msg`Hours`}
        options={CLOCKS}
        words={{ '24 hours': '14:05', '12 hours': '2:05 pm' }}
        chosen={[value.clock]}
        onChange={([clock]) => clock && set({ clock })}
      />
      <Choice
        label={msg`A week begins on`}
        options={FIRST_WEEKDAYS}
        chosen={[value.firstWeekday]}
        onChange={([firstWeekday]) => firstWeekday && set({ firstWeekday })}
      />
      <Choice
        label={msg`Amounts of what runs`}
        options={AMOUNTS_FIRST}
        words={{ measures: msg`2 pumps`, millilitres: msg`0.80 ml, 2 pumps` }}
        chosen={[value.amounts]}
        onChange={([amounts]) => amounts && set({ amounts })}
      />
      <Choice
        label={msg`Warmth`}
        options={TEMPERATURE_UNITS}
        chosen={[value.temperature]}
        onChange={([temperature]) => temperature && set({ temperature })}
      />
    </Column>
  );
}

/** How days, hours, amounts and warmth are told, on every device of the studio. */
export function StudioManner({
  answer,
  mayChange,
}: {
  readonly answer: StudioSettingsAnswer;
  readonly mayChange: boolean;
}) {
  const { value, keep, busy, failure } = useStudioKept(answer);
  const manner = { ...USUAL_MANNER, ...value.manner };
  if (!mayChange)
    return (
      <Body>{msg`Days as ${term(manner.days)}, ${term(manner.clock)}, weeks from ${term(manner.firstWeekday)}, ${term(manner.amounts)} first, ${term(manner.temperature)}.`}</Body>
    );
  return (
    <Column gap="$2" role="group" aria-label={msg`How things are told`} aria-busy={busy}>
      <MannerFields value={manner} onChange={(next) => void keep({ ...value, manner: next })} />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </Column>
  );
}
