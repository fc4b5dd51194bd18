import {
  CONDITIONS,
  hoursToHold,
  messages,
  METALS,
  msg,
  plural,
  OCCASION_LIGHTS,
  OCCASIONS,
  usualConditions,
  type Occasion,
} from '@toile/core';
import { Body, Choice, Column, Field, Line, Stepper, Switch, View } from '../../ui';
import { ofAnotherKind } from './occasionView';
import { OutfitField } from './OutfitField';
import { WarmthField } from './WarmthField';

const LIGHT_WORDS = { led: 'LED' } as const;
const CONDITION_WORDS = messages({ humidity: 'humid air', meals: 'a meal' } as const);
const METAL_CHOICES = ['none', ...METALS] as const;

type OccasionFieldsProps = {
  readonly value: Occasion;
  readonly onChange: (occasion: Occasion) => void;
  readonly errors?: Readonly<Record<string, string>>;
  /** What it is and when are said elsewhere, as by a visit. */
  readonly booked?: boolean;
  /** Only when is said elsewhere, as by a party. */
  readonly dayIsSet?: boolean;
};

/**
 * Everything the computing asks of a day: what it is, how long it must hold, light, weather, what is worn.
 */
export function OccasionFields({
  value,
  onChange,
  errors = {},
  booked = false,
  dayIsSet = false,
}: OccasionFieldsProps) {
  const set = (change: Partial<Occasion>): void => onChange({ ...value, ...change });
  /** Hours follow the times; whoever then changes the hours by hand has the last word. */
  const setTimes = (change: Pick<Occasion, 'begins' | 'ends'>): void => {
    const next = { ...value, ...change };
    set({ ...change, hoursToLast: hoursToHold(next.begins, next.ends) ?? value.hoursToLast });
  };
  const computed = hoursToHold(value.begins, value.ends);
  return (
    <Column gap="$3">
      {booked ? null : (
        <>
          <Choice
            label={msg`Occasion`}
            options={OCCASIONS}
            chosen={[value.kind]}
            onChange={([kind]) => kind && onChange(ofAnotherKind(value, kind))}
          />
          {dayIsSet ? null : (
            <Field
              label={msg`Date`}
              keyboard="date"
              value={value.date}
              onChange={(date) => set({ date })}
              error={errors.date}
            />
          )}
        </>
      )}
      <Line flexWrap="nowrap" alignItems="flex-start">
        <View flex={1}>
          <Field
            label={msg`Ready at`}
            keyboard="time"
            value={value.begins ?? ''}
            onChange={(begins) => setTimes({ begins: begins || undefined, ends: value.ends })}
          />
        </View>
        <View flex={1}>
          <Field
            label={msg`Comes off at`}
            keyboard="time"
            value={value.ends ?? ''}
            onChange={(ends) => setTimes({ begins: value.begins, ends: ends || undefined })}
          />
        </View>
      </Line>
      <Stepper
        label={msg`Has to hold`}
        value={value.hoursToLast}
        unit={msg`h`}
        minimum={0.5}
        maximum={24}
        step={0.5}
        onChange={(hoursToLast) => set({ hoursToLast })}
      />
      {computed !== null && computed !== value.hoursToLast ? (
        <Body color="$inkSoft">{plural(
          computed,
        )`The times say one hour; ${value.hoursToLast} is what counts.|The times say ${computed} hours; ${value.hoursToLast} is what counts.`}</Body>
      ) : null}
      <Choice
        label={msg`Light`}
        several
        options={OCCASION_LIGHTS}
        words={LIGHT_WORDS}
        chosen={value.lights}
        onChange={(lights) => set({ lights })}
      />
      <Switch
        label={msg`Photographed or filmed`}
        on={value.camera}
        onToggle={() => set({ camera: !value.camera })}
      />
      <Choice
        label={msg`The day brings`}
        several
        options={CONDITIONS}
        words={CONDITION_WORDS}
        chosen={value.conditions ?? usualConditions(value.kind)}
        onChange={(conditions) => set({ conditions })}
      />
      <WarmthField value={value} onChange={onChange} />
      <OutfitField value={value.outfit ?? []} onChange={(outfit) => set({ outfit })} />
      <Choice
        label={msg`Jewellery`}
        options={METAL_CHOICES}
        chosen={[value.metal ?? 'none']}
        onChange={([metal]) => set({ metal: metal === 'none' ? undefined : metal })}
      />
      <Field
        label={msg`Theme or period`}
        value={value.theme ?? ''}
        onChange={(theme) => set({ theme: theme === '' ? undefined : theme })}
        error={errors.theme}
      />
      <Field
        label={msg`Place`}
        value={value.place ?? ''}
        onChange={(place) => set({ place: place === '' ? undefined : place })}
        error={errors.place}
      />
    </Column>
  );
}
