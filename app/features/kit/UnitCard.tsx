import { useState } from 'react';
import { messages, msg, term, type Product, type ShelfLife, type Unit } from '@toile/core';
import { newId, type LedgerEntry } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { useLedger, useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Field, Figure, Label, Line, Ready } from '../../ui';
import { dayInWords } from '../words/dates';
import { leftInWords } from './kitView';
import { UnitForm } from './UnitForm';

type UnitCardProps = {
  readonly unit: Unit;
  readonly product: Product;
  readonly revision: number;
  readonly mayEdit: boolean;
  readonly life: ShelfLife;
};

const LIFE: Readonly<Record<ShelfLife['state'], string>> = messages({
  unopened: 'sealed',
  good: 'good',
  soon: '▲ ends soon',
  past: '▲ past its shelf life',
});

/** One unit: where it is, how long it is good, how much is left and where that went. */
export function UnitCard({ unit, product, revision, mayEdit, life }: UnitCardProps) {
  const [open, setOpen] = useState<'ledger' | 'change' | 'count' | null>(null);
  const toggle = (what: typeof open): void => setOpen((o) => (o === what ? null : what));
  return (
    <Column gap="$2" paddingVertical="$2" borderBottomWidth={1} borderBottomColor="$line">
      <Line justifyContent="space-between" flexWrap="nowrap" alignItems="flex-start">
        <Column gap={0} flex={1}>
          <Body>{unit.place || msg`no place noted`}</Body>
          <Label color={life.state === 'past' || life.state === 'soon' ? '$weld' : '$inkSoft'}>
            {[
              unit.openedOn ? msg`opened ${dayInWords(unit.openedOn)}` : null,
              LIFE[life.state],
              life.until ? msg`until ${life.until}` : null,
            ]
              .filter(Boolean)
              .join(', ')}
          </Label>
        </Column>
        <Figure textAlign="right">{leftInWords(unit, product)}</Figure>
      </Line>
      <Line>
        <Button onPress={() => toggle('count')}>{msg`Count again`}</Button>
        {mayEdit ? <Button onPress={() => toggle('change')}>{msg`Opened, moved`}</Button> : null}
        {unit.remainingMg > 0 ? <ThrowAway unit={unit} /> : null}
        <Button onPress={() => toggle('ledger')}>{msg`Where it went`}</Button>
      </Line>
      {open === 'count' ? <Count unit={unit} product={product} onDone={() => setOpen(null)} /> : null}
      {open === 'change' ? (
        <UnitForm start={unit} product={product} revision={revision} onDone={() => setOpen(null)} />
      ) : null}
      {open === 'ledger' ? <Ledger unitId={unit.id} /> : null}
    </Column>
  );
}

/** Empty, or past its time: counted as nothing, and no longer proposed. Counting it again brings it back. */
function ThrowAway({ unit }: { readonly unit: Unit }) {
  const refresh = useRefresh();
  const { failure, save: keep } = useSaving();
  const retire = async (): Promise<void> => {
    await keep(async () => {
      await call('countUnit', {
        params: { id: unit.id },
        body: { id: newId(), remainingMg: 0, note: msg`used up or thrown away` },
      });
      await refresh();
    });
  };
  return (
    <>
      <Button onPress={() => void retire()}>{msg`Used up`}</Button>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </>
  );
}

/** How much is really left, weighed or guessed. */
function Count({
  unit,
  product,
  onDone,
}: {
  readonly unit: Unit;
  readonly product: Product;
  readonly onDone: () => void;
}) {
  const refresh = useRefresh();
  const [text, setText] = useState(String(Number((unit.remainingMg / 1000).toFixed(2))));
  const [error, setError] = useState<string | undefined>();
  const save = async (): Promise<void> => {
    const grams = text.trim() === '' ? Number.NaN : Number(text.replace(',', '.'));
    if (!Number.isFinite(grams)) return setError(msg`A number of grams`);
    if (grams < 0) return setError(msg`Not less than nothing`);
    try {
      await call('countUnit', {
        params: { id: unit.id },
        body: { id: newId(), remainingMg: Math.round(1000 * grams), note: '' },
      });
      await refresh();
      onDone();
    } catch (failed) {
      setError(failed instanceof CallError ? failed.message : msg`Something went wrong. Try again.`);
    }
  };
  return (
    <Line flexWrap="nowrap" alignItems="flex-end">
      <Field
        label={msg`Left in it`}
        unit={msg`g`}
        keyboard="decimal"
        value={text}
        onChange={setText}
        error={error}
        hint={msg`One ${term(product.measure)} is ${product.mgPerMeasure} mg.`}
        onSubmit={() => void save()}
      />
      <Button kind="main" onPress={() => void save()}>{msg`Save the count`}</Button>
    </Line>
  );
}

const REASONS: Readonly<Record<LedgerEntry['reason'], string>> = messages({
  bought: 'came into the kit',
  chart: 'used',
  count: 'counted',
});

function Ledger({ unitId }: { readonly unitId: string }) {
  const ledger = useLedger(unitId);
  return (
    <Ready remote={ledger}>
      {({ entries }) =>
        entries.length === 0 ? (
          <Label>{msg`Nothing has been taken from it yet.`}</Label>
        ) : (
          <Column gap={0}>
            {entries.map((e) => (
              <Line key={e.id} justifyContent="space-between" flexWrap="nowrap">
                <Label flex={1}>
                  {[dayInWords(e.at), REASONS[e.reason], e.note, e.by].filter(Boolean).join(' · ')}
                </Label>
                <Figure>{msg`${e.mg > 0 ? '+' : '−'}${Math.abs(Math.round(e.mg))} mg`}</Figure>
              </Line>
            ))}
          </Column>
        )
      }
    </Ready>
  );
}
