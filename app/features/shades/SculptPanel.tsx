import { useMemo, useState } from 'react';
import {
  msg,
  SCULPT_KINDS,
  shadeName,
  skinTarget,
  term,
  type SculptKind,
  type ShadeContext,
} from '@toile/core';
import { Body, Choice, Column, Figure, Label, Line, Loading, Subheading, Swatch } from '../../ui';
import { askShades, useWork } from '../../workers';

const SHOWN = 6;

/** Contour, bronzer, blush and highlight of the kit, ranked for this skin with the reasons. */
export function SculptPanel({ context }: { readonly context: ShadeContext }) {
  const [kind, setKind] = useState<SculptKind>('contour');
  const [contrast, setContrast] = useState<'soft' | 'bold'>('soft');
  const asked = useMemo(() => ({ context, kind, contrast }), [context, kind, contrast]);
  const { answer, error } = useWork(askShades, 'sculpt', asked);
  const skin = skinTarget(context.client.skin);
  return (
    <Column gap="$3">
      <Choice label={msg`For`} options={SCULPT_KINDS} chosen={[kind]} onChange={([k]) => k && setKind(k)} />
      <Choice
        label={msg`Contrast`}
        options={['soft', 'bold'] as const}
        words={{ soft: msg`soft, two steps`, bold: msg`bold, three steps` }}
        chosen={[contrast]}
        onChange={([c]) => c && setContrast(c)}
      />
      {error ? <Body color="$madder">{`▲ ${error}`}</Body> : null}
      {answer ? (
        <Column gap="$2" aria-live="polite">
          <Line flexWrap="nowrap">
            {answer.wanted ? (
              <Swatch
                lab={answer.wanted}
                beside={skin}
                size={44}
                label={msg`the shade asked for, beside the skin`}
              />
            ) : null}
            <Body flex={1}>{answer.words}</Body>
          </Line>
          {answer.candidates.length === 0 ? (
            <Body color="$weld">
              {answer.mix
                ? msg`▲ No single ${term(kind)} does it. Stirred together: ${answer.mix}.`
                : msg`▲ The kit has no ${term(kind)} for this skin.`}
            </Body>
          ) : null}
          {answer.candidates.slice(0, SHOWN).map(({ product, unit, onSkin, steps, reasons, cost }, i) => (
            <Line
              key={product.id}
              flexWrap="nowrap"
              alignItems="flex-start"
              gap="$3"
              paddingVertical="$2"
              borderBottomWidth={1}
              borderBottomColor="$line"
            >
              <Swatch
                lab={onSkin}
                beside={skin}
                size={44}
                label={msg`${product.shade} on the skin, beside it`}
              />
              <Column gap={2} flex={1}>
                <Body fontWeight={i === 0 ? '700' : '400'}>{shadeName(product)}</Body>
                <Label fontSize="$1" lineHeight="$1">
                  {[term(product.finish), term(product.texture), unit.place].filter(Boolean).join(' · ')}
                </Label>
                {reasons.map((r) => (
                  <Label
                    key={r.words}
                    fontSize="$1"
                    lineHeight="$1"
                    color={r.cost >= 1.4 ? '$weld' : '$inkSoft'}
                  >
                    {`${r.cost < 0 ? '+ ' : r.cost >= 1.4 ? '▲ ' : ''}${r.words}`}
                  </Label>
                ))}
              </Column>
              <Figure
                aria-label={msg`${Math.abs(steps).toFixed(1)} steps ${steps > 0 ? msg`deeper` : msg`lighter`}, cost ${cost.toFixed(1)}`}
              >
                {`${steps > 0 ? '+' : '−'}${Math.abs(steps).toFixed(1)}`}
              </Figure>
            </Line>
          ))}
          <Label>{msg`Figures at the right: shade steps from the skin. Swatches: predicted on the skin at a usual dose.`}</Label>
          {answer.ruledOut.length > 0 ? (
            <Column gap={0}>
              <Subheading>{msg`Left out`}</Subheading>
              {answer.ruledOut.map(({ product, why }) => (
                <Label key={product.id}>{`${shadeName(product)}: ${why}`}</Label>
              ))}
            </Column>
          ) : null}
        </Column>
      ) : (
        <Loading words={msg`Ranking`} />
      )}
    </Column>
  );
}
