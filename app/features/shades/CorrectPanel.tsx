import { useMemo, useState } from 'react';
import {
  faceColour,
  msg,
  numberTold,
  readSpot,
  summariseReadings,
  type Correction,
  type Lab,
  type ShadeContext,
} from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { Body, Choice, Column, Figure, Judged, Label, LabField, Line, Loading, Swatch } from '../../ui';
import { askShades, useWork } from '../../workers';
import { layersInWords } from './shadesView';

type Spot = { readonly name: string; readonly skin: Lab; readonly lab: Lab };

/** Spots that were read, and under the eyes where that was: each with the skin it is compared with. */
function spotsOf(client: ClientAnswer): Spot[] {
  const reading = client.readings[0];
  const face = reading ? faceColour(reading.skin) : null;
  if (!reading || !face) return [];
  const underEye = reading.skin.underEye
    ? [{ name: msg`Under eye`, skin: reading.skin.cheek ?? face, lab: reading.skin.underEye }]
    : [];
  const extras = reading.extras.flatMap(({ name, beside, samples }) => {
    const mean = summariseReadings(samples);
    return mean ? [{ name, skin: reading.skin[beside] ?? face, lab: mean.lab }] : [];
  });
  return [...underEye, ...extras];
}

/** Corrector, dose and cover for a spot, layer by layer. */
export function CorrectPanel({
  client,
  context,
}: {
  readonly client: ClientAnswer;
  readonly context: ShadeContext;
}) {
  const spots = useMemo(() => spotsOf(client), [client]);
  const [name, setName] = useState(spots[0]?.name ?? 'typed');
  const [typed, setTyped] = useState<Lab | null>(null);
  const spot = spots.find((s) => s.name === name) ?? null;
  const skin = spot?.skin ?? faceColour(context.client.skin);
  const lab = spot?.lab ?? typed;
  const asked = useMemo(() => (skin && lab ? { context, skin, spot: lab } : null), [context, skin, lab]);
  const { answer, busy, error } = useWork(askShades, 'correct', asked);
  return (
    <Column gap="$3">
      <Choice
        label={msg`Which spot`}
        options={[...spots.map((s) => s.name), 'typed']}
        words={{ typed: msg`Type one` }}
        chosen={[name]}
        onChange={([n]) => n && setName(n)}
      />
      {spot ? null : <LabField label={msg`Colour of the spot`} button={msg`Look at it`} onLab={setTyped} />}
      {skin && lab ? (
        <Line flexWrap="nowrap">
          <Swatch lab={lab} beside={skin} size={52} label={msg`the spot beside the skin round it`} />
          <Column gap={0} flex={1}>
            <Body>{msg`${readSpot(skin, lab).deltaE.toFixed(1)} from the skin round it: ${readSpot(skin, lab).words}.`}</Body>
            <Label>{msg`A description of colour, no finding. Anything sore, open or new is for whoever treats it, not for cover.`}</Label>
          </Column>
        </Line>
      ) : null}
      {busy && !answer ? <Loading words={msg`Trying correctors, doses and covers`} /> : null}
      {error ? <Body color="$madder">{`▲ ${error}`}</Body> : null}
      {answer && skin && lab ? (
        <Column gap="$2" aria-live="polite">
          <Body fontWeight="700">{answer.words}</Body>
          <Label>{msg`${numberTold(answer.tried)} ways predicted by a layer model. Best first: what is left to see, and 1 for every mg/cm² laid.`}</Label>
          {answer.corrections.map((correction, i) => (
            <CorrectionRow key={i} correction={correction} spot={lab} skin={skin} first={i === 0} />
          ))}
        </Column>
      ) : null}
      <Label>{msg`A spot is read while reading the skin: any place can be added there.`}</Label>
    </Column>
  );
}

/** One way, as swatches: the bare spot, after each layer, and the skin it should become. */
function CorrectionRow({
  correction,
  spot,
  skin,
  first,
}: {
  readonly correction: Correction;
  readonly spot: Lab;
  readonly skin: Lab;
  readonly first: boolean;
}) {
  const stages = [
    { name: 'bare', lab: spot },
    ...correction.layers.map((l) => ({ name: l.product.shade, lab: l.lab })),
    { name: msg`the skin`, lab: skin },
  ];
  return (
    <Column
      gap="$1"
      paddingVertical="$2"
      borderBottomWidth={1}
      borderBottomColor="$line"
      role="group"
      aria-label={layersInWords(correction)}
    >
      <Line justifyContent="space-between" flexWrap="nowrap" alignItems="flex-start">
        <Body flex={1} fontWeight={first ? '700' : '400'}>
          {layersInWords(correction)}
        </Body>
        <Figure fontWeight="700">{correction.deltaE.toFixed(1)}</Figure>
      </Line>
      <Judged flexDirection="row" padding="$1" gap="$1" alignSelf="flex-start">
        {stages.map((stage, i) => (
          <Column key={i} gap={0} alignItems="center" width={68}>
            <Swatch lab={stage.lab} size={40} label={stage.name} />
            <Label fontSize="$1" lineHeight="$1" color="$ink" textAlign="center" numberOfLines={1}>
              {stage.name}
            </Label>
          </Column>
        ))}
      </Judged>
      {correction.tie ? <Label>{msg`As good as the best, within what the model can tell.`}</Label> : null}
      {correction.warnings.map((w) => (
        <Body key={w} color="$weld">{`▲ ${w}`}</Body>
      ))}
    </Column>
  );
}
