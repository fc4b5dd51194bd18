import {
  messages,
  msg,
  TRIAL_ZONES,
  trialZoneWords,
  WEAR_MARKS,
  WEAR_STATES,
  type TrialZone,
  type WearMark,
  type WearState,
} from '@toile/core';
import type { Look } from '@toile/contract';
import { Body, Button, Choice, Column, Label, Line, Switch } from '../../ui';
import { capital } from '../words/capital';

export const NO_LOOK: Look = { zones: {}, touched: [], marks: [], stings: false };
const STATE_WORDS: Readonly<Record<WearState, string>> = messages({
  holds: 'holds',
  starting: 'starting',
  'needs a touch-up': 'touch up',
});
const ALL_HOLD: Partial<Record<TrialZone, WearState>> = Object.fromEntries(
  TRIAL_ZONES.map((zone) => [zone, 'holds']),
);

type LookFieldsProps = {
  readonly value: Look;
  readonly onChange: (look: Look) => void;
  /** Asked of the client on a phone of their own, or of whoever made the face up. */
  readonly of: 'client' | 'artist';
};

/** One look at a face that is worn: a touch for all, or one a place; what the day did; whether it stings. */
export function LookFields({ value, onChange, of }: LookFieldsProps) {
  const set = (change: Partial<Look>): void => onChange({ ...value, ...change });
  return (
    <Column gap="$3">
      <Line>
        <Button onPress={() => set({ zones: ALL_HOLD })}>{msg`Everything holds`}</Button>
      </Line>
      <Label>{msg`Starting: a little shine or a first line, nothing that bothers. Leave out what was not looked at.`}</Label>
      {TRIAL_ZONES.map((zone) => (
        <Choice
          key={zone}
          label={capital(trialZoneWords(zone))}
          options={WEAR_STATES}
          words={STATE_WORDS}
          chosen={value.zones[zone] ? [value.zones[zone]] : []}
          onChange={([state]) => state && set({ zones: { ...value.zones, [zone]: state } })}
        />
      ))}
      <Choice
        label={msg`Touched up just now`}
        options={TRIAL_ZONES}
        words={Object.fromEntries(TRIAL_ZONES.map((zone) => [zone, trialZoneWords(zone)]))}
        chosen={value.touched}
        several
        onChange={(touched: TrialZone[]) => set({ touched })}
      />
      <Choice
        label={msg`Since the last look there was`}
        options={WEAR_MARKS}
        chosen={value.marks}
        several
        onChange={(marks: WearMark[]) => set({ marks })}
      />
      <Switch
        label={of === 'client' ? msg`It stings or burns` : msg`The client says that it stings or burns`}
        on={value.stings}
        onToggle={() => set({ stings: !value.stings })}
      />
      {value.stings ? (
        <Body
          role="alert"
          color="$madder"
        >{msg`▲ Take it off now, with plenty of water at the eyes, and do not put it on again. If it does not pass, or an eye is hurt, see a doctor; the maker’s directions come first.`}</Body>
      ) : null}
    </Column>
  );
}

/** Whether anything was said. */
export const saysSomething = ({ zones, touched, stings }: Look): boolean =>
  Object.keys(zones).length > 0 || touched.length > 0 || stings;
