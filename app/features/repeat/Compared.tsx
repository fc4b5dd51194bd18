import { msg, stepsOfVariant, type Chart, type Refit } from '@toile/core';
import { Body, Column, Judged, Label, useWide } from '../../ui';
import { layersOf } from '../chart/layers';
import { faceBox } from '../face/faceBox';
import { FaceView } from '../face/FaceView';
import { stepsInWords } from '../words/colours';
import { dayInWords } from '../words/dates';

type ComparedProps = {
  readonly worn: Chart;
  /** As it would be saved. */ readonly next: Chart;
  readonly drift: Refit['drift'];
};

/** The face as it was worn beside the face as it will be, and how far the skin has moved between. */
export function Compared({ worn, next, drift }: ComparedProps) {
  const wide = useWide();
  const face = (chart: Chart, label: string) => (
    <Column flex={1} gap="$1" alignItems="center">
      <FaceView
        landmarks={chart.client.landmarks}
        features={chart.client.features}
        skin={chart.client.skin}
        layers={layersOf(chart.client, stepsOfVariant(chart.steps, null), null)}
        view={faceBox(chart.client.landmarks)}
        width="100%"
        height={wide ? 340 : 200}
        label={label}
      />
      <Label color="$ink">{label}</Label>
    </Column>
  );
  return (
    <Column gap="$2">
      <Judged flexDirection="row" padding="$2" gap="$2">
        {face(worn, msg`As worn, ${dayInWords(worn.occasion.date)}`)}
        {face(next, msg`For ${dayInWords(next.occasion.date)}`)}
      </Judged>
      {drift ? (
        <Body fontWeight="700">{msg`The skin has moved ${drift.deltaE.toFixed(1)} since: ${stepsInWords(drift.stepsDeeper)}.`}</Body>
      ) : null}
    </Column>
  );
}
