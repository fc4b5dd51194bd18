import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import {
  cellName,
  identifyPan,
  msg,
  PRODUCT_KINDS,
  shadeName,
  term,
  type Kit,
  type Lab,
  type ProductKind,
} from '@toile/core';
import type { PaletteAnswer } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { useKit, usePalettes } from '../../data/hooks';
import {
  Body,
  Button,
  Choice,
  Column,
  Label,
  LabField,
  Line,
  Ready,
  Row,
  Screen,
  Subheading,
  Swatch,
} from '../../ui';
import { verdictInWords } from './identifyView';

/** One reading of an unlabelled pan, and what it most likely is. */
export function IdentifyScreen() {
  const kit = useKit();
  const palettes = usePalettes();
  const router = useRouter();
  return (
    <Screen title={msg`Which pan is this?`} onBack={() => router.navigate('/kit')} widest={760}>
      <Ready remote={kit}>
        {(data) => <Ready remote={palettes}>{(list) => <Identify kit={data} palettes={list} />}</Ready>}
      </Ready>
    </Screen>
  );
}

const ANY = 'anything';

function Identify({ kit, palettes }: { readonly kit: Kit; readonly palettes: readonly PaletteAnswer[] }) {
  const [lab, setLab] = useState<Lab | null>(null);
  const [kind, setKind] = useState<ProductKind | typeof ANY>(ANY);
  const [failure, setFailure] = useState<string | null>(null);
  const found = useMemo(
    () => (lab ? identifyPan(lab, kit.products, kind === ANY ? [] : [kind]) : null),
    [lab, kit, kind],
  );
  const kinds = PRODUCT_KINDS.filter((k) => kit.products.some((p) => p.kind === k && p.lab !== null));
  const touch = async (paletteId: string, row: number, column: number): Promise<void> => {
    setFailure(null);
    try {
      setLab((await call('sample', { body: { pan: { paletteId, row, column } } })).lab);
    } catch (error) {
      setFailure(error instanceof CallError ? error.message : msg`The reader did not answer. Try again.`);
    }
  };
  return (
    <Column gap="$4">
      {found && lab ? (
        <Column gap="$2" aria-live="polite">
          <Line flexWrap="nowrap">
            <Swatch lab={lab} size={52} label={msg`the pan as read`} />
            <Body flex={1} fontWeight="700">
              {verdictInWords(found)}
            </Body>
          </Line>
          {found.guesses.map(({ product, certainty, deltaE }) => (
            <Row
              key={product.id}
              title={shadeName(product)}
              detail={msg`${product.maker}, ${term(product.kind)}, ${term(product.finish)} · ${deltaE.toFixed(1)} from its colour`}
              fact={`${Math.round(100 * certainty)} %`}
              before={<Swatch lab={product.lab} beside={lab} label={msg`its colour beside the reading`} />}
              href={`/kit/products/${product.id}`}
            />
          ))}
          <Label>{msg`Nothing of the kit: ${Math.round(100 * found.none)} %. Certainty is a model’s, from one reading; finish and label decide between near ones.`}</Label>
        </Column>
      ) : (
        <Body>{msg`Read the pan once, clean and dry, straight from above; or type what your instrument says.`}</Body>
      )}
      <Choice
        label={msg`It is`}
        options={[ANY, ...kinds]}
        chosen={[kind]}
        onChange={([k]) => k && setKind(k)}
      />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <LabField label={msg`The pan as read`} button={msg`Which one is it?`} onLab={setLab} />
      {palettes.length > 0 ? (
        <Column gap="$2">
          <Subheading>{msg`Or hold the stand-in reader to a pan`}</Subheading>
          {palettes.map(({ palette }) => (
            <Column key={palette.id} gap="$1">
              <Label>{palette.name}</Label>
              <Line>
                {palette.pans.map((pan) => (
                  <Button
                    key={cellName(pan)}
                    label={msg`Read ${cellName(pan)} of ${palette.name}`}
                    onPress={() => void touch(palette.id, pan.row, pan.column)}
                  >
                    {cellName(pan)}
                  </Button>
                ))}
              </Line>
            </Column>
          ))}
        </Column>
      ) : null}
    </Column>
  );
}
