import { useState } from 'react';
import { clock, minuteOfDay, msg, type Hands, type PartyPlan } from '@toile/core';
import { useVisitMinutes } from '../../data/hooks';
import { Body, Button, Choice, Column, Dialog, Field, Label, Line, Stepper, Switch } from '../../ui';
import { todayText } from '../words/dates';
import { BusyTimes } from './BusyTimes';
import { learnedPace, learnedWords, paceOf } from './paceWords';

type HandsDialogProps = {
  readonly hands: Hands;
  readonly places: PartyPlan['places'];
  readonly busy: boolean;
  readonly failure: string | null;
  readonly onKeep: (hands: Hands) => void;
  readonly onRemove: () => void;
  readonly onClose: () => void;
};

/** One pair of hands: who, from when, how quick, with what breaks. */
export function HandsDialog({ hands, places, busy, failure, onKeep, onRemove, onClose }: HandsDialogProps) {
  const [value, setValue] = useState(hands);
  const [arrives, setArrives] = useState(clock(hands.arrives));
  const [leaves, setLeaves] = useState(hands.leaves === null ? '' : clock(hands.leaves));
  const [tried, setTried] = useState(false);
  const timed = useVisitMinutes(todayText());
  const learned = learnedPace(timed.data ?? [], value.name.trim());
  const set = (change: Partial<Hands>): void => setValue((v) => ({ ...v, ...change }));
  const from = minuteOfDay(arrives);
  const until = leaves === '' ? null : minuteOfDay(leaves);
  const wrong = {
    name: value.name.trim() === '' ? msg`Write a name` : undefined,
    arrives: from === null ? msg`A time, as 07:30` : undefined,
    leaves:
      leaves !== '' && (until === null || (from !== null && until <= from))
        ? msg`Later than ${arrives}`
        : undefined,
  };
  const keep = (): void => {
    setTried(true);
    if (from === null || wrong.name || wrong.leaves) return;
    onKeep({ ...value, name: value.name.trim(), arrives: from, leaves: until });
  };
  return (
    <Dialog title={hands.name === '' ? msg`Add a pair of hands` : hands.name} onClose={onClose}>
      <Field
        label={msg`Name`}
        value={value.name}
        onChange={(name) => set({ name })}
        error={tried ? wrong.name : undefined}
        autoFocus={hands.name === ''}
      />
      <Choice
        label={msg`Does`}
        options={['makeup', 'hair'] as const}
        words={{ makeup: msg`make-up` }}
        chosen={[value.does]}
        onChange={([does]) => does && set({ does })}
      />
      {places.length > 1 ? (
        <Choice
          label={msg`Arrives at`}
          options={places.map((place) => place.id)}
          words={Object.fromEntries(places.map((place) => [place.id, place.name]))}
          chosen={[value.at]}
          onChange={([at]) => at && set({ at })}
        />
      ) : null}
      <Stepper
        label={msg`Needs of planned minutes`}
        unit="%"
        value={Math.round((value.pace ?? 1) * 100)}
        minimum={50}
        maximum={200}
        step={1}
        onChange={(percent) => set({ pace: percent / 100 })}
      />
      {learned ? (
        <Column gap="$1">
          <Label>{learnedWords(learned)}</Label>
          {paceOf(learned) === (value.pace ?? 1) ? null : (
            <Line>
              <Button onPress={() => set({ pace: paceOf(learned) })}>{msg`Plan with that`}</Button>
            </Line>
          )}
        </Column>
      ) : null}
      <Field
        label={msg`There at`}
        keyboard="time"
        value={arrives}
        onChange={setArrives}
        error={tried ? wrong.arrives : undefined}
      />
      <Field
        label={msg`Leaves at, if it is fixed`}
        keyboard="time"
        value={leaves}
        onChange={setLeaves}
        error={tried ? wrong.leaves : undefined}
      />
      <Stepper
        label={msg`Setting up`}
        unit={msg`min`}
        value={value.setUp}
        minimum={0}
        maximum={90}
        step={5}
        onChange={(setUp) => set({ setUp })}
      />
      <Stepper
        label={msg`Cleaning between faces`}
        unit={msg`min`}
        value={value.sanitise}
        minimum={0}
        maximum={30}
        step={1}
        onChange={(sanitise) => set({ sanitise })}
      />
      <Switch
        label={msg`Rests between`}
        on={value.maxWork !== null}
        onToggle={() => set({ maxWork: value.maxWork === null ? 210 : null })}
      />
      {value.maxWork === null ? null : (
        <Line gap="$4">
          <Stepper
            label={msg`Works on end at most`}
            unit={msg`min`}
            value={value.maxWork}
            minimum={60}
            maximum={480}
            step={15}
            onChange={(maxWork) => set({ maxWork })}
          />
          <Stepper
            label={msg`Rest`}
            unit={msg`min`}
            value={value.rest}
            minimum={5}
            maximum={60}
            step={5}
            onChange={(rest) => set({ rest })}
          />
        </Line>
      )}
      <Switch
        label={msg`Lunch between 11:30 and 14:00`}
        on={value.lunch !== null}
        onToggle={() => set({ lunch: value.lunch === null ? { minutes: 30, from: 690, to: 840 } : null })}
      />
      <BusyTimes
        title={msg`Away`}
        example={msg`with the florist`}
        add={msg`Add a time away`}
        busy={value.away ?? []}
        onChange={(away) => set({ away: away.length === 0 ? undefined : away })}
      />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={keep}>{msg`Keep`}</Button>
      {hands.name === '' ? null : (
        <Button kind="stop" disabled={busy} onPress={onRemove}>{msg`Not there`}</Button>
      )}
    </Dialog>
  );
}
