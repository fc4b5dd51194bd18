import { useState } from 'react';
import { msg, shadeName, type Product, type Unit } from '@toile/core';
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
  // What was not touched follows what somebody else saves meanwhile, and is not put over it.
  const [typedOpened, setOpened] = useState<string | null>(null);
  const [typedPlace, setPlace] = useState<string | null>(null);
  const opened = typedOpened ?? start.openedOn ?? '';
  const place = typedPlace ?? start.place;
  const [grams, setGrams] = useState(String(start.remainingMg / 1000));
  const { failure, errors, save: keep } = useSaving();
  const save = async (): Promise<void> => {
    const kept = await keep(async () => {
      const mg = grams.trim() === '' ? Number.NaN : Math.round(1000 * Number(grams.replace(',', '.')));
      const body = {
        ...start,
        openedOn: opened.trim() === '' ? null : opened.trim(),
        place,
        remainingMg: mg,
      };
      await unitInputSchema.validate(body, { abortEarly: false });
      try {
        if (revision === null) await call('createUnit', { body });
        else await call('updateUnit', { params: { id: start.id }, body, revision });
      } finally {
        // Also where somebody else was first: saved again it stands over what they saved.
        await refresh();
      }
      return true;
    });
    if (kept) onDone();
  };
  return (
    <Column
      gap="$2"
      borderWidth={1}
      borderColor="$line"
      padding="$3"
      role="group"
      aria-label={revision === null ? msg`A new unit of ${shadeName(product)}` : msg`Change the unit`}
    >
      <Field
        label={msg`Opened on`}
        value={opened}
        onChange={setOpened}
        error={errors.openedOn}
        keyboard="date"
        hint={msg`Leave empty while it is sealed.`}
      />
      <Button onPress={() => setOpened(todayText())}>{msg`Opened today`}</Button>
      <Field
        label={msg`Where it is`}
        value={place}
        onChange={setPlace}
        error={errors.place}
        placeholder={msg`case 2, C4`}
      />
      {revision === null ? (
        <Field
          label={msg`How much is in it`}
          unit={msg`g`}
          keyboard="decimal"
          value={grams}
          onChange={setGrams}
          error={errors.remainingMg}
        />
      ) : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Line flexWrap="nowrap">
        <Button onPress={onDone}>{msg`Not now`}</Button>
        <View flex={1}>
          <Button kind="main" onPress={() => void save()}>
            {revision === null ? msg`Add the unit` : msg`Save the unit`}
          </Button>
        </View>
      </Line>
    </Column>
  );
}
