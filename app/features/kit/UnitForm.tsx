import { useState } from 'react';
import type { Product, Unit } from '@toile/core';
import { unitInputSchema } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Field, Line, View } from '../../ui';
import { todayText } from '../words/dates';

type UnitFormProps = {
  readonly start: Unit;
  readonly product: Product;
  /** Revision the change starts from; null adds the unit. */
  readonly revision: number | null;
  readonly onDone: () => void;
};

/** A unit: when it was opened, where it is and, when it is new, how much is in it. */
export function UnitForm({ start, product, revision, onDone }: UnitFormProps) {
  const refresh = useRefresh();
  const [opened, setOpened] = useState(start.openedOn ?? '');
  const [place, setPlace] = useState(start.place);
  const [grams, setGrams] = useState(String(start.remainingMg / 1000));
  const { failure, errors, save: keep } = useSaving();
  const save = async (): Promise<void> => {
    await keep(async () => {
      const mg = grams.trim() === '' ? Number.NaN : Math.round(1000 * Number(grams.replace(',', '.')));
      const body = {
        ...start,
        openedOn: opened.trim() === '' ? null : opened.trim(),
        place,
        remainingMg: mg,
      };
      await unitInputSchema.validate(body, { abortEarly: false });
      if (revision === null) await call('createUnit', { body });
      else await call('updateUnit', { params: { id: start.id }, body, revision });
      await refresh();
      onDone();
    });
  };
  return (
    <Column
      gap="$2"
      borderWidth={1}
      borderColor="$line"
      padding="$3"
      role="group"
      aria-label={revision === null ? `A new unit of ${product.shade}` : 'Change the unit'}
    >
      <Field
        label="Opened on"
        value={opened}
        onChange={setOpened}
        error={errors.openedOn}
        keyboard="date"
        hint="Leave empty while it is sealed."
      />
      <Button onPress={() => setOpened(todayText())}>Opened today</Button>
      <Field
        label="Where it is"
        value={place}
        onChange={setPlace}
        error={errors.place}
        placeholder="case 2, C4"
      />
      {revision === null ? (
        <Field
          label="How much is in it"
          unit="g"
          keyboard="decimal"
          value={grams}
          onChange={setGrams}
          error={errors.remainingMg}
        />
      ) : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Line flexWrap="nowrap">
        <Button onPress={onDone}>Not now</Button>
        <View flex={1}>
          <Button kind="main" onPress={() => void save()}>
            {revision === null ? 'Add the unit' : 'Save the unit'}
          </Button>
        </View>
      </Line>
    </Column>
  );
}
