import { basesFace, msg, productsInWords, type Chart } from '@toile/core';
import { Body, Button, Column, Judged, Label, Subheading } from '../../ui';
import { layersOf } from '../chart/layers';
import { FaceStage } from '../face/FaceStage';
import type { FittedClient } from './fitOne';

/** One client's face in the fitted look, its base and what was moved, or what stops it. */
export function FittedFace({
  one,
  onOpen,
}: {
  readonly one: FittedClient;
  readonly onOpen: (path: string) => void;
}) {
  const chart: Chart | null = one.fitted?.chart ?? null;
  const base = chart?.steps.find(basesFace);
  return (
    <Column gap="$1">
      <Subheading fontSize="$3">{one.name}</Subheading>
      {chart ? (
        <Judged padding={0}>
          <FaceStage
            landmarks={chart.client.landmarks}
            features={chart.client.features}
            skin={chart.client.skin}
            layers={layersOf(
              chart.client,
              chart.steps.filter((s) => s.variant === undefined),
              null,
            )}
            height={260}
            label={msg`${chart.look.name} on ${one.name}`}
          />
        </Judged>
      ) : null}
      {one.stops ? (
        <>
          <Body color="$weld">{msg`▲ Cannot be fitted. ${one.stops}`}</Body>
          <Button
            onPress={() => onOpen(`/clients/${one.clientId}/read`)}
          >{msg`Read ${one.name}’s skin`}</Button>
        </>
      ) : null}
      {base ? <Label>{msg`Base: ${productsInWords(base.use)}`}</Label> : null}
      {one.fitted?.notes.map((note) => (
        <Label key={note}>{`· ${note}`}</Label>
      ))}
      {chart && one.fitted?.notes.length === 0 ? <Label>{msg`Nothing had to be moved.`}</Label> : null}
      {one.savedAs ? (
        <Button
          onPress={() => onOpen(`/charts/${one.savedAs}`)}
        >{msg`✓ Saved: open ${one.name}’s chart`}</Button>
      ) : null}
    </Column>
  );
}
