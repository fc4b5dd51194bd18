import { useMemo } from 'react';
import { msg, PLAIN_FEATURES, stepsOfVariant, TEMPLATE } from '@toile/core';
import { useLook } from '../../data/hooks';
import { Judged, View } from '../../ui';
import { faceBox } from '../face/faceBox';
import { FaceView } from '../face/FaceView';
import { layerOn } from './lookLayers';

const FACE = { landmarks: TEMPLATE, features: PLAIN_FEATURES };

/** A look on the pattern face, small: told apart by what it does, not by its name alone. */
export function LookPicture({
  id,
  name,
  height,
  width,
}: {
  readonly id: string;
  readonly name: string;
  /** px */
  readonly height: number;
  /** px; the whole width when left out. */
  readonly width?: number;
}) {
  const { data } = useLook(id);
  const layers = useMemo(
    () => (data ? stepsOfVariant(data.look.steps, null).flatMap((step) => layerOn(step, FACE)) : null),
    [data],
  );
  return (
    <Judged padding={0} width={width ?? '100%'} height={height} flexShrink={0} overflow="hidden">
      {layers ? (
        <FaceView
          {...FACE}
          layers={layers}
          view={faceBox(TEMPLATE)}
          width="100%"
          height={height}
          label={msg`${name} on the pattern face`}
        />
      ) : (
        <View height={height} />
      )}
    </Judged>
  );
}
