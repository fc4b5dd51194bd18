import Svg, { Circle, Line as SvgLine, Rect } from 'react-native-svg';
import {
  LANDMARKS,
  msg,
  tapeLine,
  type LandmarkName,
  type Landmarks,
  type MeasurementName,
  type Point,
  type Source,
} from '@toile/core';
import { useColours } from '../../ui';

const WHOLE = { position: 'absolute', left: 0, top: 0, right: 0, bottom: 0, pointerEvents: 'none' } as const;

/** Where the tape goes for one measurement, over the drawing. */
export function TapeOverlay({
  name,
  landmarks,
  toPixels,
}: {
  readonly name: MeasurementName;
  readonly landmarks: Landmarks;
  readonly toPixels: (p: Point) => Point;
}) {
  const c = useColours();
  const [from, to] = tapeLine(name, landmarks).map(toPixels) as [Point, Point];
  return (
    <Svg width="100%" height="100%" style={WHOLE} role="img" aria-label={msg`Where the tape goes`}>
      <SvgLine x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} stroke={c.surface} strokeWidth={5} />
      <SvgLine x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} stroke={c.woad} strokeWidth={2.5} />
      {[from, to].map(([x, y], i) => (
        <Circle key={i} cx={x} cy={y} r={4.5} fill={c.woad} stroke={c.surface} strokeWidth={1.5} />
      ))}
    </Svg>
  );
}

/**
 * Where each landmark comes from: a filled square measured, a filled circle tapped, a ring from another face,
 * a dot inferred.
 */
export function SourceMarks({
  sources,
  landmarks,
  toPixels,
}: {
  readonly sources: Readonly<Record<LandmarkName, Source>>;
  readonly landmarks: Landmarks;
  readonly toPixels: (p: Point) => Point;
}) {
  const c = useColours();
  const mark = (name: LandmarkName) => {
    const [x, y] = toPixels(landmarks[name]);
    switch (sources[name]) {
      case 'measured':
        return <Rect key={name} x={x - 3} y={y - 3} width={6} height={6} fill={c.ink} />;
      case 'tapped':
        return <Circle key={name} cx={x} cy={y} r={3.6} fill={c.woad} />;
      case 'from another face':
        return <Circle key={name} cx={x} cy={y} r={3.2} fill="none" stroke={c.ink} strokeWidth={1.3} />;
      case 'inferred':
        return <Circle key={name} cx={x} cy={y} r={1.3} fill={c.inkSoft} />;
    }
  };
  return (
    <Svg
      width="100%"
      height="100%"
      style={WHOLE}
      role="img"
      aria-label={msg`Where each place of the face comes from`}
    >
      {LANDMARKS.filter((name) => landmarks[name][1] < landmarks.gnathion[1] + 4).map(mark)}
    </Svg>
  );
}
