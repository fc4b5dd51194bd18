import { COVERAGE_WORDS, FAMILIES, FINISHES, msg, PRODUCT_KINDS, TEXTURES } from '@toile/core';
import { Button, Choice, Column } from '../../ui';
import { NO_FILTER, STATES, type KitFilter } from './kitView';

/** What of the kit is shown: several of each may be chosen. */
export function KitFilters({
  filter,
  onChange,
}: {
  readonly filter: KitFilter;
  readonly onChange: (filter: KitFilter) => void;
}) {
  const choice = <K extends keyof KitFilter>(
    label: string,
    key: K,
    options: readonly KitFilter[K][number][],
  ) => (
    <Choice<KitFilter[K][number]>
      label={label}
      several
      options={options}
      chosen={filter[key]}
      onChange={(chosen) => onChange({ ...filter, [key]: chosen })}
    />
  );
  return (
    <Column gap="$3" borderWidth={1} borderColor="$line" padding="$3">
      {choice(msg`State`, 'states', STATES)}
      {choice(msg`Kind`, 'kinds', PRODUCT_KINDS)}
      {choice(msg`Finish`, 'finishes', FINISHES)}
      {choice(msg`Texture`, 'textures', TEXTURES)}
      {choice(msg`Coverage`, 'coverages', COVERAGE_WORDS)}
      {choice(msg`Family`, 'families', FAMILIES)}
      <Button onPress={() => onChange(NO_FILTER)}>{msg`Clear the filter`}</Button>
    </Column>
  );
}
