import { useState } from 'react';
import {
  calibrateTinting,
  isColoured,
  msg,
  shadeName,
  type Kit,
  type Lab,
  type Product,
  type TintingCalibration,
} from '@toile/core';
import { Body, Button, Choice, Column, Label, LabField, Subheading } from '../../ui';
import { formOf } from './productForm';
import { useSaveProduct } from './useSaveProduct';

/** One 1:1 test mix tells how strongly a product tints. */
export function Calibrate({
  product,
  kit,
}: {
  readonly product: Product;
  readonly kit: Kit & { readonly revisions: Readonly<Record<string, number>> };
}) {
  const [open, setOpen] = useState(false);
  const bases = kit.products
    .filter(isColoured)
    .filter((p) => p.id !== product.id && p.kind === 'base' && p.family === product.family);
  const [withId, setWithId] = useState<string | null>(null);
  const [found, setFound] = useState<TintingCalibration | null>(null);
  const saving = useSaveProduct();
  const other = bases.find((p) => p.id === withId) ?? null;
  if (product.kind !== 'base' && product.kind !== 'adjuster') return null;
  const work = (mix: Lab): void => {
    if (other && product.lab) setFound(calibrateTinting(product.lab, other.lab, mix));
  };
  const keep = async (): Promise<void> => {
    const strength = Math.min(20, Math.max(0.05, found!.strength));
    if (
      await saving.save(
        { ...formOf(product), tintingStrength: strength.toFixed(3) },
        kit.revisions[product.id] ?? 1,
      )
    ) {
      setOpen(false);
      setFound(null);
    }
  };
  return (
    <Column gap="$2">
      <Button onPress={() => setOpen((o) => !o)}>{open ? msg`Not now` : msg`Calibrate by a test mix`}</Button>
      {open ? (
        <Column gap="$2" borderWidth={1} borderColor="$line" padding="$3">
          <Subheading>{msg`Stir equal weights, spread thick, read`}</Subheading>
          {bases.length === 0 ? (
            <Body>{msg`No base of the same family to mix it with.`}</Body>
          ) : (
            <Choice
              label={msg`Mixed one to one with`}
              options={bases.map((b) => b.id)}
              words={Object.fromEntries(bases.map((b) => [b.id, shadeName(b)]))}
              chosen={withId ? [withId] : []}
              onChange={([id]) => id && setWithId(id)}
            />
          )}
          {other ? (
            <LabField label={msg`The mix as read`} button={msg`Work out the strength`} onLab={work} />
          ) : null}
          {found ? (
            <Column gap="$1" aria-live="polite">
              <Body>{msg`It tints ${found.strength.toFixed(2)} times as strongly. The mix is then predicted ${found.deltaE.toFixed(1)} off, before ${found.before.toFixed(1)}.`}</Body>
              {found.deltaE > 2 ? (
                <Label>{msg`Still visibly off: the model does not hold well for this pair. Read the mix again.`}</Label>
              ) : null}
              <Button
                kind="main"
                disabled={saving.busy}
                onPress={() => void keep()}
              >{msg`Keep this strength`}</Button>
            </Column>
          ) : null}
          {saving.failure ? <Body role="alert" color="$madder">{`▲ ${saving.failure}`}</Body> : null}
        </Column>
      ) : null}
    </Column>
  );
}
