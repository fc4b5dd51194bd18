import { memo, useId, useMemo } from 'react';
import Svg, {
  Circle,
  Defs,
  G,
  Image as SvgImage,
  Line as SvgLine,
  LinearGradient,
  Path,
  Pattern,
  Rect,
  Stop,
} from 'react-native-svg';
import {
  lineArt,
  pathOf,
  type Eyes,
  type FaceGuides,
  type Features,
  type Ink,
  type InkFill,
  type Landmarks,
  type LineArt,
  type PlacedShape,
  type Point,
  LAYER_LOOKS,
  type LayerKind,
  type PatternForm,
} from '@toile/core';
import { useColours } from '../../ui';

/** One layer on the drawing: its shapes, kind and colour. */
export type PaintedLayer = {
  readonly id: string;
  readonly kind: LayerKind;
  readonly shapes: readonly PlacedShape[];
  /** Colour of its product, '#rrggbb'. */
  readonly colour: string | null;
  /** 'lit' stands out, 'faint' steps back, 'outline' is another chart's, drawn over this one. */
  readonly emphasis?: 'lit' | 'plain' | 'faint' | 'outline';
};

export type Mark = { readonly at: Point; readonly label: string; readonly on: boolean };

type FaceViewProps = {
  readonly landmarks: Landmarks;
  readonly features: Features;
  readonly layers?: readonly PaintedLayer[];
  readonly guides?: FaceGuides | null;
  /** Shows the edge a smile makes and the hollow under it beside the guides. */
  readonly finder?: boolean;
  /** A painted skin and where it lies, in mm: laid over the bare ground and under the fine lines. */
  readonly picture?: {
    readonly href: string;
    readonly box: readonly [number, number, number, number];
  } | null;
  /** x, y, width, height in mm; the whole head when left out. */
  readonly view?: readonly [number, number, number, number];
  readonly width: number | string;
  readonly height: number | string;
  readonly label: string;
  readonly eyes?: Eyes;
  /** Only the parts near eyes and mouth, for insets. */
  readonly near?: boolean;
  /** 'slice' fills the frame, 'meet' keeps everything in it. */
  readonly fitting?: 'meet' | 'slice';
};

/** Parts an inset has no room for. */
const AWAY = /hair|strand|knot|coil|crop|scarf|fold$|neck|ear|collar|beard|crown|sheen|cloth|plait|bun/;

function drawingOf(landmarks: Landmarks, features: Features, eyes: Eyes, near: boolean): LineArt {
  const art = lineArt(landmarks, features, eyes);
  if (!near) return art;
  const kept = (inks: readonly Ink[]): Ink[] =>
    inks.filter(({ part }) => part === 'brow hairs' || part === 'lid fold' || !AWAY.test(part));
  return { ...art, ground: kept(art.ground), lines: kept(art.lines) };
}

const HAIR_TONES = {
  fair: '#c9c3b6',
  red: '#b79a8c',
  brown: '#8f857d',
  black: '#55524f',
  grey: '#c4c4c4',
} as const;

/** A client's face in ink on paper, with placed layers under the fine lines and guides in chalk. */
export const FaceView = memo(function FaceView({
  landmarks,
  features,
  layers = [],
  guides = null,
  finder = false,
  picture = null,
  view,
  width,
  height,
  label,
  eyes = 'open',
  near = false,
  fitting = 'meet',
}: FaceViewProps) {
  const c = useColours();
  const art = useMemo(() => drawingOf(landmarks, features, eyes, near), [landmarks, features, eyes, near]);
  const id = useId();
  const fills: Readonly<Record<InkFill, string>> = useMemo(
    () => ({
      ink: c.faceInk,
      skin: c.faceSkin,
      shade: c.faceShade,
      hair: HAIR_TONES[features.hairTone],
      sheen: c.faceSkin,
      cloth: c.line,
      lip: c.faceLip,
      eyeWhite: '#fbfbfb',
      iris: '#7d7d7d',
      pupil: '#101010',
      catchlight: '#ffffff',
    }),
    [c, features.hairTone],
  );
  return (
    <Svg
      width={width}
      height={height}
      viewBox={(view ?? art.viewBox).join(' ')}
      preserveAspectRatio={`xMidYMid ${fitting}`}
      role="img"
      aria-label={label}
    >
      <Patterns kinds={layers.map((l) => l.kind)} />
      <Inks inks={art.ground} fills={fills} />
      {picture ? (
        <SvgImage
          href={picture.href}
          x={picture.box[0]}
          y={picture.box[1]}
          width={picture.box[2]}
          height={picture.box[3]}
          preserveAspectRatio="none"
        />
      ) : null}
      {layers.map((layer) => (
        <Layer key={layer.id} layer={layer} face={id} />
      ))}
      <Inks inks={art.lines} fills={fills} />
      {guides ? <Chalk guides={guides} finder={finder} colour={c.chalk} /> : null}
    </Svg>
  );
});

const Inks = memo(function Inks({
  inks,
  fills,
}: {
  readonly inks: readonly Ink[];
  readonly fills: Readonly<Record<InkFill, string>>;
}) {
  return (
    <G>
      {inks.map((ink, i) => (
        <Path key={i} d={ink.d} fill={fills[ink.fill]} opacity={ink.opacity} />
      ))}
    </G>
  );
});

const Layer = memo(function Layer({ layer, face }: { readonly layer: PaintedLayer; readonly face: string }) {
  const look = LAYER_LOOKS[layer.kind];
  const { emphasis = 'plain' } = layer;
  const wide = layer.kind === 'base' || layer.kind === 'powder';
  const strength = {
    lit: wide ? 0.6 : 0.85,
    plain: wide ? 0.18 : 0.62,
    faint: wide ? 0.06 : 0.18,
    outline: 1,
  }[emphasis];
  const fill = layer.colour ?? look.fallback;
  return (
    <G opacity={strength}>
      {layer.shapes.map((shape, i) => {
        const d = pathOf(shape.region, 2);
        if (emphasis === 'outline')
          return (
            <Path key={i} d={d} fill="none" stroke="#1f4e79" strokeWidth={0.9} strokeDasharray="2.4 1.4" />
          );
        const fade = `${face}${layer.id}${i}`;
        const fades = shape.line !== null && shape.line.length > 1 && shape.fade[0] !== shape.fade[1];
        return (
          <G key={i}>
            {fades ? <FadeAlong id={fade} shape={shape} fill={fill} /> : null}
            <Path
              d={d}
              fill={fades ? `url(#${fade})` : fill}
              stroke={emphasis === 'lit' ? '#161616' : 'none'}
              strokeWidth={0.4}
            />
            {look.pattern.form === 'plain' ? null : <Path d={d} fill={`url(#pattern-${layer.kind})`} />}
          </G>
        );
      })}
    </G>
  );
});

/** A layer's strength along its line, as a gradient between its two ends. */
function FadeAlong({
  id,
  shape,
  fill,
}: {
  readonly id: string;
  readonly shape: PlacedShape;
  readonly fill: string;
}) {
  const line = shape.line ?? [];
  const [from, to] = [line[0], line[line.length - 1]];
  if (!from || !to) return null;
  return (
    <Defs>
      <LinearGradient id={id} gradientUnits="userSpaceOnUse" x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]}>
        <Stop offset="0" stopColor={fill} stopOpacity={shape.fade[0]} />
        <Stop offset="1" stopColor={fill} stopOpacity={shape.fade[1]} />
      </LinearGradient>
    </Defs>
  );
}

/** Fill patterns, one for each kind in use. */
function Patterns({ kinds }: { readonly kinds: readonly LayerKind[] }) {
  const used = [...new Set(kinds)];
  return (
    <Defs>
      {used.map((kind) => {
        const { pattern } = LAYER_LOOKS[kind];
        if (pattern.form === 'plain') return null;
        const turned = 'angle' in pattern ? `rotate(${pattern.angle})` : undefined;
        return (
          <Pattern
            key={kind}
            id={`pattern-${kind}`}
            patternUnits="userSpaceOnUse"
            width={pattern.gap}
            height={pattern.gap}
            patternTransform={turned}
          >
            <PatternTile pattern={pattern} />
          </Pattern>
        );
      })}
    </Defs>
  );
}

export function PatternTile({ pattern }: { readonly pattern: PatternForm }) {
  const ink = '#111111';
  const half = 'gap' in pattern ? pattern.gap / 2 : 0;
  switch (pattern.form) {
    case 'lines':
      return <Rect x={0} y={half} width={pattern.gap} height={pattern.width} fill={ink} opacity={0.6} />;
    case 'cross':
      return (
        <>
          <Rect x={0} y={half} width={pattern.gap} height={pattern.width} fill={ink} opacity={0.6} />
          <Rect x={half} y={0} width={pattern.width} height={pattern.gap} fill={ink} opacity={0.6} />
        </>
      );
    case 'dots':
      return <Circle cx={half} cy={half} r={pattern.radius} fill={ink} opacity={0.6} />;
    case 'plus':
      return (
        <>
          <SvgLine
            x1={half - 0.8}
            x2={half + 0.8}
            y1={half}
            y2={half}
            stroke={ink}
            strokeWidth={0.3}
            opacity={0.6}
          />
          <SvgLine
            y1={half - 0.8}
            y2={half + 0.8}
            x1={half}
            x2={half}
            stroke={ink}
            strokeWidth={0.3}
            opacity={0.6}
          />
        </>
      );
    case 'plain':
      return null;
  }
}

const openPath = (line: readonly Point[]): string =>
  `M${line.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}`;

/** Limits and guide lines, dashed and light. */
const Chalk = memo(function Chalk({
  guides,
  finder,
  colour,
}: {
  readonly guides: FaceGuides;
  readonly finder: boolean;
  readonly colour: string;
}) {
  const lines = (['left', 'right'] as const).flatMap((side) => [
    guides.cheekLine[side],
    guides.smileLine[side],
    guides.pupilLine[side],
  ]);
  const closed = [guides.eyeArea.left, guides.eyeArea.right, guides.freeTriangle];
  return (
    <G fill="none" stroke={colour} strokeWidth={0.55} strokeDasharray="2.2 1.6">
      {lines.map((line, i) => (
        <Path key={i} d={openPath(line)} />
      ))}
      {closed.map((line, i) => (
        <Path key={`c${i}`} d={`${openPath(line)}Z`} />
      ))}
      {finder
        ? [guides.finder.left, guides.finder.right].map(({ gap, hollowLine }, i) => (
            <G key={`f${i}`}>
              <Path d={`${openPath(gap)}Z`} fill={colour} fillOpacity={0.13} stroke="none" />
              <Path
                d={openPath(hollowLine)}
                strokeWidth={0.8}
                strokeDasharray="0.2 2"
                strokeLinecap="round"
              />
            </G>
          ))
        : null}
    </G>
  );
});
