import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { impossibleBecause, msg, productName, term, type Product, type Unit } from '@toile/core';
import { may } from '@toile/contract';
import { useKit, useSession } from '../../data/hooks';
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
import { useReader, type Reader } from '../reading/useReader';
import { labInWords } from '../words/colours';
import { nextToRead, productsToRead } from './toRead';
import { useKitReading } from './useKitReading';

type Reading = ReturnType<typeof useKitReading>;

/** The kit's colours, read one product after the other: three touches each, kept, and on. */
export function ReadKitScreen() {
  const kit = useKit();
  const router = useRouter();
  const session = useSession();
  const mayEdit = session.data ? may(session.data.role, 'edit') : false;
  const reader = useReader();
  const [connecting, setConnecting] = useState(false);
  const [putOff, setPutOff] = useState<ReadonlySet<string>>(new Set());
  const [kept, setKept] = useState(0);
  const waiting = useMemo(() => (kit.data ? productsToRead(kit.data) : []), [kit.data]);
  const product = mayEdit ? nextToRead(waiting, putOff) : null;
  const reading = useKitReading(kit.data, product, reader, () => setKept((n) => n + 1));
  return (
    <Screen
      title={msg`Read the kit`}
      above={msg`${kept} read, ${waiting.length} to go`}
      widest={760}
      onBack={() => router.navigate('/kit')}
      foot={
        product ? (
          <ReadingFoot reader={reader} reading={reading} onConnect={() => setConnecting(true)} />
        ) : undefined
      }
    >
      <Ready remote={kit}>
        {({ units }) =>
          product ? (
            <One
              product={product}
              units={units}
              reader={reader}
              reading={reading}
              onLater={() => setPutOff((now) => new Set([...now, product.id]))}
            />
          ) : session.data && !mayEdit ? (
            <Empty title={msg`Read by whoever may change the kit`} words={msg`Ask an artist or the owner.`} />
          ) : waiting.length > 0 ? (
            <Column gap="$3">
              <Empty
                title={msg`The rest was put off`}
                words={msg`${waiting.length} still without a colour: nothing is proposed of them by itself.`}
              />
              <Button onPress={() => setPutOff(new Set())}>{msg`Go through them again`}</Button>
            </Column>
          ) : (
            <Empty
              title={msg`Every colour is read`}
              words={msg`What comes new into the kit is read here too.`}
            />
          )
        }
      </Ready>
      {connecting ? <ReaderDialog reader={reader} onClose={() => setConnecting(false)} /> : null}
    </Screen>
  );
}

/** One button under the thumb, the same from touch to touch and on to the next: focus stays on it too. */
function ReadingFoot({
  reader,
  reading: { summary, enough, impossible, touch, keep, anew },
  onConnect,
}: {
  readonly reader: Reader;
  readonly reading: Reading;
  readonly onConnect: () => void;
}) {
  if (!reader.connected)
    return <Button kind="main" large onPress={onConnect}>{msg`Connect the reader`}</Button>;
  const press = !enough ? touch : impossible ? anew : () => keep(summary!.lab);
  return (
    <Button kind="main" large onPress={() => void press()}>
      {summary === null
        ? msg`Touch it`
        : !enough
          ? msg`Touch again, ${summary.moreNeeded} more`
          : impossible
            ? msg`Read it anew`
            : msg`Keep it, on to the next`}
    </Button>
  );
}

type OneProps = {
  readonly product: Product;
  readonly units: readonly Unit[];
  readonly reader: Reader;
  readonly reading: Reading;
  readonly onLater: () => void;
};

function One({ product, units, reader, reading, onLater }: OneProps) {
  const { summary, impossible, enough, failure, touch, keep, anew } = reading;
  const places = units.flatMap(({ productId, place }) =>
    productId === product.id && place !== '' ? [place] : [],
  );
  return (
    <Column gap="$4">
      <Line flexWrap="nowrap" gap="$3" alignItems="flex-start">
        <Swatch lab={summary?.lab ?? null} size={72} label={msg`as read so far`} />
        <Column gap={0} flex={1} aria-live="polite">
          <Subheading>{productName(product)}</Subheading>
          <Body>{[term(product.kind), term(product.texture), ...places].join(' · ')}</Body>
          {summary ? (
            <Figure>{msg`${labInWords(summary.lab)}, ± ${summary.uncertainty.toFixed(2)} from ${summary.keptCount}`}</Figure>
          ) : (
            <Label>{msg`A thick, even layer: the clean pan, or a swatch you cannot see through on white.`}</Label>
          )}
        </Column>
      </Line>
      {[impossible, failure].map((wrong) =>
        wrong ? <Body key={wrong} role="alert" color="$madder">{`▲ ${wrong}`}</Body> : null,
      )}
      <Line>
        {summary && !impossible ? <Button onPress={anew}>{msg`Read it anew`}</Button> : null}
        {enough && reader.connected ? (
          <Button onPress={() => void touch()}>{msg`One touch more`}</Button>
        ) : null}
        <Button onPress={onLater}>{msg`Later`}</Button>
        <Button href={`/kit/products/${product.id}`}>{msg`The product`}</Button>
      </Line>
      <LabField
        key={product.id}
        label={msg`Or as your own reader says`}
        button={msg`Keep these, on to the next`}
        onLab={(lab) => void keep(lab)}
        check={(lab) => impossibleBecause(product.kind, lab)}
      />
      <Label>{msg`Colours are CIELAB in daylight. What is not read is never proposed for a skin by itself: it can be chosen by eye in a step.`}</Label>
    </Column>
  );
}
