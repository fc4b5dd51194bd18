import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { impossibleBecause, productName, summariseReadings, type Lab, type Product } from '@toile/core';
import type { KitAnswer } from '@toile/contract';
import { useKit } from '../../data/hooks';
import {
  Body,
  Button,
  Column,
  Empty,
  Figure,
  Label,
  LabField,
  Line,
  Ready,
  Screen,
  Subheading,
  Swatch,
} from '../../ui';
import { ReaderDialog } from '../reading/ReaderDialog';
import { useReader } from '../reading/useReader';
import { labInWords } from '../words/colours';
import { formOf } from './productForm';
import { nextToRead, productsToRead } from './toRead';
import { useSaveProduct } from './useSaveProduct';

/** The kit's colours, read one product after the other: three touches each, kept, and on. */
export function ReadKitScreen() {
  const kit = useKit();
  const router = useRouter();
  const reader = useReader();
  const [connecting, setConnecting] = useState(false);
  const [putOff, setPutOff] = useState<ReadonlySet<string>>(new Set());
  const [kept, setKept] = useState(0);
  const waiting = useMemo(() => (kit.data ? productsToRead(kit.data) : []), [kit.data]);
  const product = nextToRead(waiting, putOff);
  return (
    <Screen
      title="Read the kit"
      above={`${kept} read, ${waiting.length} to go`}
      widest={760}
      onBack={() => router.navigate('/kit')}
    >
      <Ready remote={kit}>
        {(data) =>
          product ? (
            <One
              kit={data}
              product={product}
              reader={reader}
              onConnect={() => setConnecting(true)}
              onKept={() => setKept((n) => n + 1)}
              onLater={() => setPutOff((now) => new Set([...now, product.id]))}
            />
          ) : waiting.length > 0 ? (
            <Column gap="$3">
              <Empty
                title="The rest was put off"
                words={`${waiting.length} still without a colour: nothing is proposed of them by itself.`}
              />
              <Button onPress={() => setPutOff(new Set())}>Go through them again</Button>
            </Column>
          ) : (
            <Empty title="Every colour is read" words="What comes new into the kit is read here too." />
          )
        }
      </Ready>
      {connecting ? <ReaderDialog reader={reader} onClose={() => setConnecting(false)} /> : null}
    </Screen>
  );
}

type OneProps = {
  readonly kit: KitAnswer;
  readonly product: Product;
  readonly reader: ReturnType<typeof useReader>;
  readonly onConnect: () => void;
  readonly onKept: () => void;
  readonly onLater: () => void;
};

function One({ kit, product, reader, onConnect, onKept, onLater }: OneProps) {
  // Kept by product, not by a key: the main button stays the same one, and with it the focus of whoever works by keys.
  const [read, setRead] = useState<{ readonly id: string; readonly samples: readonly Lab[] }>({
    id: product.id,
    samples: [],
  });
  const samples = read.id === product.id ? read.samples : [];
  const saving = useSaveProduct();
  const summary = summariseReadings(samples);
  const impossible = summary ? impossibleBecause(product.kind, summary.lab) : null;
  const places = kit.units.flatMap(({ productId, place }) =>
    productId === product.id && place !== '' ? [place] : [],
  );
  const enough = summary !== null && summary.moreNeeded === 0;
  const touch = async (): Promise<void> => {
    if (reader.busy) return;
    const { id } = product;
    const lab = await reader.touch({ productId: id });
    if (lab) setRead((now) => ({ id, samples: now.id === id ? [...now.samples, lab] : [lab] }));
  };
  const keep = async ([L, a, b]: Lab): Promise<void> => {
    if (saving.busy) return;
    const tenth = (value: number): number => Math.round(10 * value) / 10;
    const form = formOf({ ...product, lab: [tenth(L), tenth(a), tenth(b)] });
    if (await saving.save(form, kit.revisions[product.id] ?? 1)) onKept();
  };
  return (
    <Column gap="$4">
      <Line flexWrap="nowrap" gap="$3" alignItems="flex-start">
        <Swatch lab={summary?.lab ?? null} size={72} label="as read so far" />
        <Column gap={0} flex={1} aria-live="polite">
          <Subheading>{productName(product)}</Subheading>
          <Body>{[product.kind, product.texture, ...places].join(' · ')}</Body>
          {summary ? (
            <Figure>{`${labInWords(summary.lab)}, ± ${summary.uncertainty.toFixed(2)} from ${summary.keptCount}`}</Figure>
          ) : (
            <Label>A thick, even layer: the clean pan, or a swatch you cannot see through on white.</Label>
          )}
        </Column>
      </Line>
      {impossible ? <Body role="alert" color="$madder">{`▲ ${impossible}`}</Body> : null}
      {reader.failure ? <Body role="alert" color="$madder">{`▲ ${reader.failure}`}</Body> : null}
      {saving.failure ? <Body role="alert" color="$madder">{`▲ ${saving.failure}`}</Body> : null}
      {!reader.connected ? (
        <Button kind="main" large onPress={onConnect}>
          Connect the reader
        </Button>
      ) : enough && !impossible ? (
        <Button kind="main" large onPress={() => void keep(summary.lab)}>
          Keep it, on to the next
        </Button>
      ) : (
        <Button kind="main" large onPress={() => void touch()}>
          {summary ? `Touch again, ${summary.moreNeeded} more` : 'Touch it'}
        </Button>
      )}
      <Line>
        {samples.length > 0 ? (
          <Button onPress={() => setRead({ id: product.id, samples: [] })}>Read it anew</Button>
        ) : null}
        {enough && reader.connected ? <Button onPress={() => void touch()}>One touch more</Button> : null}
        <Button onPress={onLater}>Later</Button>
        <Button href={`/kit/products/${product.id}`}>The product</Button>
      </Line>
      <LabField
        label="Or as your own reader says"
        button="Keep these, on to the next"
        onLab={(lab) => void keep(lab)}
        check={(lab) => impossibleBecause(product.kind, lab)}
      />
      <Label>
        Colours are CIELAB in daylight. What is not read is never proposed for a skin by itself: it can be
        chosen by eye in a step.
      </Label>
    </Column>
  );
}
