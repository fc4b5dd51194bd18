import { msg, type Product } from '@toile/core';
import type { KitAnswer } from '@toile/contract';
import { Body, Button, Column, Label, Line } from '../../ui';
import { useWithdraw } from './useWithdraw';

/** What can be done with several products at once. */
export function ChosenProducts({
  kit,
  chosen,
  onLeave,
}: {
  readonly kit: KitAnswer;
  readonly chosen: ReadonlySet<string>;
  readonly onLeave: () => void;
}) {
  const { busy, failure, withdraw } = useWithdraw(kit);
  const products = kit.products.filter((p) => chosen.has(p.id));
  const all = async (some: readonly Product[], withdrawn: boolean): Promise<void> => {
    if (await withdraw(some, withdrawn)) onLeave();
  };
  const [inUse, away] = [products.filter((p) => !p.withdrawn), products.filter((p) => p.withdrawn)];
  return (
    <Column gap="$1" paddingBottom="$2" role="group" aria-label={msg`Chosen products`}>
      <Line>
        <Label color="$ink">{msg`${products.length} chosen`}</Label>
        {inUse.length > 0 ? (
          <Button disabled={busy} onPress={() => void all(inUse, true)}>
            {msg`Withdraw ${inUse.length}`}
          </Button>
        ) : null}
        {away.length > 0 ? (
          <Button disabled={busy} onPress={() => void all(away, false)}>
            {msg`Back in use: ${away.length}`}
          </Button>
        ) : null}
        <Button onPress={onLeave}>{msg`Choose none`}</Button>
      </Line>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </Column>
  );
}
