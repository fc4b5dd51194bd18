import { useState, type ReactNode } from 'react';
import { lineArt, type FaceGuides, type Features, type Landmarks, type Point, type Skin } from '@toile/core';
import { View } from '../../ui';
import { faceBox } from './faceBox';
import type { PaintedLayer } from './FaceLayers';
import { FaceView } from './FaceView';

type FaceStageProps = {
  readonly landmarks: Landmarks;
  readonly features: Features;
  /** Her skin as it was read, to be drawn on. */
  readonly skin?: Skin;
  readonly height: number;
  readonly label: string;
  readonly layers?: readonly PaintedLayer[];
  readonly guides?: FaceGuides | null;
  /** Shows both ways to find the contour, and the gap between them. */
  readonly finder?: boolean;
  /** 'bust' shows head and shoulders, 'face' hairline to chin; or a box in mm. */
  readonly framing?: 'bust' | 'face' | readonly [number, number, number, number];
  /** Things to touch over the drawing, placed through mm to pixels; `mmPerPixel` turns a drag back. */
  readonly children?: (
    toPixels: (p: Point) => Point,
    mmPerPixel: number,
    toMm: (p: Point) => Point,
  ) => ReactNode;
};

/** The drawing with room for handles over it: knows where each mm falls on screen. */
export function FaceStage({
  landmarks,
  features,
  skin,
  height,
  label,
  layers,
  guides,
  finder,
  framing = 'face',
  children,
}: FaceStageProps) {
  const [width, setWidth] = useState(0);
  const view =
    framing === 'face'
      ? faceBox(landmarks)
      : framing === 'bust'
        ? lineArt(landmarks, features).viewBox
        : framing;
  const scale = Math.min(width / view[2], height / view[3]);
  const toPixels = ([x, y]: Point): Point => [
    (width - view[2] * scale) / 2 + (x - view[0]) * scale,
    (height - view[3] * scale) / 2 + (y - view[1]) * scale,
  ];
  const toMm = ([x, y]: Point): Point => [
    view[0] + (x - (width - view[2] * scale) / 2) / scale,
    view[1] + (y - (height - view[3] * scale) / 2) / scale,
  ];
  return (
    <View
      width="100%"
      height={height}
      position="relative"
      overflow="hidden"
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
    >
      <FaceView
        landmarks={landmarks}
        features={features}
        skin={skin}
        layers={layers}
        guides={guides}
        finder={finder}
        view={view}
        width="100%"
        height={height}
        label={label}
      />
      {width > 0 && children ? children(toPixels, 1 / scale, toMm) : null}
    </View>
  );
}
