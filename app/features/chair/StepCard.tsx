import { useMemo } from 'react';
import {
  AFTER_AIRBRUSH,
  airbrushInWords,
  cautionsOf,
  comfortCues,
  colourOfUse,
  howInWords,
  isSettled,
  msg,
  placesSentence,
  productsInWords,
  term,
  type Chart,
  type Kit,
  type Step,
} from '@toile/core';
import { useClient } from '../../data/hooks';
import { Body, Column, Figure, Heading, Judged, Label, Line, Swatch } from '../../ui';
import { amountInWords } from '../chart/chartView';
import { cautionsNoted } from '../clients/cautions';
import { layersOf } from '../chart/layers';
import { zoomFor } from '../chart/zoom';
import { FaceStage } from '../face/FaceStage';
import { Notch } from '../face/Notch';
import { deviationInWords, placeInKit } from './chairView';

/** Where the step goes: the face, near, with its layer lit. */
export function StepFace({
  chart,
  step,
  height,
}: {
  readonly chart: Chart;
  readonly step: Step;
  /** Of the drawing, px. */
  readonly height: number;
}) {
  const { landmarks, features } = chart.client;
  const layers = layersOf(chart.client, [step], step.id);
  return (
    <Judged padding={0}>
      <FaceStage
        landmarks={landmarks}
        features={features}
        skin={chart.client.skin}
        layers={layers}
        height={height}
        framing={zoomFor(step, chart.client)}
        label={msg`Where: ${step.title}`}
      />
    </Judged>
  );
}

/** What is taken, how much of it, how it is worked: readable at arm's length. */
export function StepWords({
  step,
  kit,
  client,
}: {
  readonly step: Step;
  readonly kit: Kit | undefined;
  readonly client: Chart['client'];
}) {
  const place = placeInKit(step, kit);
  const where = useMemo(
    () => placesSentence(step.placements, client.landmarks, client.features),
    [step.placements, client.landmarks, client.features],
  );
  const lab = colourOfUse(step.use);
  return (
    <Column padding="$4" gap="$3">
      <Line flexWrap="nowrap" alignItems="flex-start">
        <Notch kind={step.role} size={26} />
        <Heading
          flex={1}
          fontSize="$6"
          lineHeight="$6"
        >{`${isSettled(step) ? '✓ ' : ''}${step.title}`}</Heading>
      </Line>
      {step.use.length > 0 ? (
        <Line flexWrap="nowrap" alignItems="flex-start" gap="$3">
          {lab ? <Swatch lab={lab} size={64} /> : null}
          <Column gap={0} flex={1}>
            <Body fontSize="$5" lineHeight="$5">
              {productsInWords(step.use)}
            </Body>
            <Figure fontSize="$5" lineHeight="$5" fontWeight="700">
              {amountInWords(step.use)}
            </Figure>
            {place ? <Label fontSize="$3">{place}</Label> : null}
          </Column>
        </Line>
      ) : null}
      <Body fontSize="$4" lineHeight="$4">
        {howInWords(step)}
      </Body>
      {where === '' ? null : <Body>{where}</Body>}
      {step.tool === 'airbrush' ? <Body>{airbrushInWords(step)}</Body> : null}
      {step.tool === 'airbrush' ? <Body color="$weld">{`▲ ${term(AFTER_AIRBRUSH)}`}</Body> : null}
      {step.note ? (
        <Body fontSize="$4" lineHeight="$4">
          {step.note}
        </Body>
      ) : null}
      {isSettled(step) && step.done ? <Label>{msg`Done by ${step.done.by}`}</Label> : null}
      {step.done?.deviations.map((d, i) => (
        <Body key={i} color="$weld">{`▲ ${deviationInWords(d)}`}</Body>
      ))}
    </Column>
  );
}

/**
 * What has to be minded before this step: ingredients, tools, dates. Shown whether it was accepted before or
 * not.
 */
export function StepCautions({
  chart,
  step,
  kit,
}: {
  readonly chart: Chart;
  readonly step: Step;
  readonly kit: Kit | undefined;
}) {
  const cautions = useMemo(() => cautionsOf(chart, kit ?? null, step.id), [chart, kit, step.id]);
  if (cautions.length === 0) return null;
  return (
    <Column paddingHorizontal="$4" paddingTop="$3" gap="$1" role="alert" aria-label={msg`Before this step`}>
      {cautions.map(({ rule, severity, message }) => (
        <Body
          key={`${rule} ${message}`}
          fontSize="$4"
          lineHeight="$4"
          fontWeight="700"
          color={severity === 'stop' ? '$madder' : '$weld'}
        >
          {`${severity === 'stop' ? '■' : '▲'} ${message}`}
        </Body>
      ))}
      <Label>{msg`A list of words is not a finding: the maker’s own list decides. Stop at any stinging.`}</Label>
    </Column>
  );
}

/** What is minded of the client, said once more before the first step. */
export function BeforeTheWork({ clientId }: { readonly clientId: string }) {
  const client = useClient(clientId).data;
  const cautions = useMemo(() => (client ? cautionsNoted(client) : []), [client]);
  if (cautions.length === 0) return null;
  return (
    <Column paddingHorizontal="$4" paddingTop="$3" gap="$1" role="note" aria-label={msg`Before the work`}>
      <Label>{msg`Before the work`}</Label>
      {cautions.map((caution) => (
        <Body key={caution} fontSize="$4" lineHeight="$4" color="$weld">{`▲ ${caution}`}</Body>
      ))}
    </Column>
  );
}

/** What the client is asked to do, and when a break is due. */
export function Comfort({
  step,
  client,
  minutesIn,
}: {
  readonly step: Step;
  readonly client: Chart['client'];
  readonly minutesIn: number;
}) {
  const cues = comfortCues(step, client, minutesIn);
  if (cues.length === 0) return null;
  return (
    <Column paddingHorizontal="$4" paddingBottom="$3" gap="$1" role="note" aria-label={msg`For the client`}>
      {cues.map((cue) => (
        <Body key={cue} fontSize="$4" lineHeight="$4">{`☞ ${cue}`}</Body>
      ))}
    </Column>
  );
}
