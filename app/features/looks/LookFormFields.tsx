import { FORBIDDEN_PLACE_NAMES, FORBIDDEN_PLACES, msg, SHAPE_NAMES, type ForbiddenPlace } from '@toile/core';
import { Choice, Column, Field } from '../../ui';
import { FORBIDDABLE_FINISHES, FORBIDDABLE_KINDS, type LookForm } from './lookForm';

const placeWords = (): Partial<Record<ForbiddenPlace, string>> =>
  Object.fromEntries(FORBIDDEN_PLACE_NAMES.map((place) => [place, FORBIDDEN_PLACES[place].words]));

type LookFormFieldsProps = {
  readonly form: LookForm;
  readonly onChange: (form: LookForm) => void;
  readonly errors: { readonly name?: string };
};

/** Name, words, tags and prohibitions of a look. */
export function LookFormFields({ form, onChange, errors }: LookFormFieldsProps) {
  const set = (part: Partial<LookForm>): void => onChange({ ...form, ...part });
  return (
    <Column gap="$3">
      <Field
        label={msg`Name`}
        value={form.name}
        onChange={(name) => set({ name: name.slice(0, 120) })}
        error={errors.name}
      />
      <Field
        label={msg`What it is for`}
        value={form.description}
        lines={2}
        onChange={(description) => set({ description })}
      />
      <Field
        label={msg`Tags`}
        value={form.tags}
        onChange={(tags) => set({ tags })}
        hint={msg`divided by commas: soft, evening, period`}
      />
      <Choice
        label={msg`Never these finishes`}
        several
        options={FORBIDDABLE_FINISHES}
        chosen={form.finishes}
        onChange={(finishes) => set({ finishes })}
      />
      <Choice
        label={msg`Never these products`}
        several
        options={FORBIDDABLE_KINDS}
        chosen={form.kinds}
        onChange={(kinds) => set({ kinds })}
      />
      <Choice
        label={msg`Never there`}
        several
        options={FORBIDDEN_PLACE_NAMES}
        words={placeWords()}
        chosen={form.places}
        onChange={(places) => set({ places })}
      />
      <Choice
        label={msg`Asked of a shape`}
        several
        options={SHAPE_NAMES}
        chosen={form.shapes}
        onChange={(shapes) => set({ shapes })}
      />
    </Column>
  );
}
