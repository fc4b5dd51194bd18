import type { ClientSnapshot } from '@toile/core';
import { Judged, Label } from '../../ui';
import type { PaintedLayer } from '../face/FaceLayers';
import { faceBox } from '../face/faceBox';
import { FaceView } from '../face/FaceView';

/** A look in its colours on a skin, small, with what it shows under it. */
export function ColouredFace({
  client,
  layers,
  title,
  height,
  label,
}: {
  readonly client: ClientSnapshot;
  readonly layers: readonly PaintedLayer[];
  readonly title: string;
  /** px */
  readonly height: number;
  readonly label: string;
}) {
  return (
    <Judged padding="$1" flex={1} gap={0}>
      <FaceView
        landmarks={client.landmarks}
        features={client.features}
        skin={client.skin}
        onSkin
        layers={layers}
        view={faceBox(client.landmarks)}
        width="100%"
        height={height}
        label={label}
      />
      <Label fontSize="$1" lineHeight="$1" color="$ink" textAlign="center">
        {title}
      </Label>
    </Judged>
  );
}
