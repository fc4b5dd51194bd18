import { msg, OCCASIONS } from '@toile/core';
import { VISIT_STATES, type VisitInput } from '@toile/contract';
import { useParties } from '../../data/hooks';
import { Choice, Field, Line, View } from '../../ui';
import { dayInWords, todayText } from '../words/dates';
import { ofKind, ofParty, partiesToChoose } from './partyOfVisit';

const ALONE = 'alone';

type VisitFormProps = {
  readonly form: VisitInput;
  readonly onChange: (form: VisitInput) => void;
  readonly errors: Readonly<Record<string, string>>;
};

/** What a visit is for, how far it has come, when and where. */
export function VisitForm({ form, onChange, errors }: VisitFormProps) {
  const set = (change: Partial<VisitInput>): void => onChange({ ...form, ...change });
  const parties = partiesToChoose(useParties().data ?? [], form.partyId, todayText());
  return (
    <>
      <Choice
        label={msg`What for`}
        options={OCCASIONS}
        chosen={OCCASIONS.filter((o) => o === form.kind)}
        onChange={([kind]) => kind && onChange(ofKind(form, kind, parties))}
      />
      {parties.length > 0 ? (
        <Choice
          label={msg`Party`}
          options={[ALONE, ...parties.map(({ id }) => id)]}
          words={{
            [ALONE]: msg`none`,
            ...Object.fromEntries(parties.map(({ id, name, date }) => [id, `${name}, ${dayInWords(date)}`])),
          }}
          chosen={[form.partyId ?? ALONE]}
          onChange={([id]) =>
            id &&
            onChange(
              ofParty(
                form,
                parties.find((party) => party.id === id),
              ),
            )
          }
        />
      ) : null}
      <Field
        label={msg`Date`}
        value={form.date}
        onChange={(date) => set({ date })}
        keyboard="date"
        error={errors.date}
      />
      <Line flexWrap="nowrap" alignItems="flex-start">
        <View flex={1}>
          <Field
            label={msg`Starts at`}
            value={form.startsAt}
            onChange={(startsAt) => set({ startsAt })}
            keyboard="time"
            error={errors.startsAt}
          />
        </View>
        <View flex={1}>
          <Field
            label={msg`Ready by`}
            value={form.readyBy ?? ''}
            onChange={(readyBy) => set({ readyBy: readyBy === '' ? null : readyBy })}
            keyboard="time"
            error={errors.readyBy}
          />
        </View>
      </Line>
      <Field
        label={msg`Place`}
        value={form.place}
        onChange={(place) => set({ place })}
        error={errors.place}
      />
      <Choice
        label={msg`How far it is`}
        options={VISIT_STATES}
        chosen={VISIT_STATES.filter((state) => state === form.state)}
        onChange={([state]) => state && set({ state })}
      />
      {form.state === 'cancelled' ? (
        <Field
          label={msg`Why`}
          value={form.reason}
          onChange={(reason) => set({ reason })}
          error={errors.reason}
          placeholder={msg`Put off to the autumn`}
        />
      ) : null}
    </>
  );
}
