import { memo } from 'react';
import {
  Circle,
  Defs,
  G,
  Line as SvgLine,
  LinearGradient,
  Path,
  Pattern,
  Rect,
  Stop,
} from 'react-native-svg';
import {
  LAYER_LOOKS,
  PATTERN_INKS,
  PATTERN_STRENGTH,
  patternInk,
  pathOf,
  type LayerKind,
  type PatternForm,
  type PlacedShape,
} from '@toile/core';

/** One layer on the drawing: its shapes, kind and colour. */
export type PaintedLayer = {
  readonly id: string;
  /** Care is drawn by its edge alone: it leaves no colour. */ readonly kind: LayerKind | 'care';
  readonly shapes: readonly PlacedShape[];
  /** Colour of its product, '#rrggbb'. */
  readonly colour: string | null;
  /** 'lit' stands out, 'faint' steps back, 'outline' is another chart's, drawn over this one. */
  readonly emphasis?: 'lit' | 'plain' | 'faint' | 'outline';
};

/** A pattern's ink on paper. */
const PAPER_PATTERN = '#111111';

type LayerProps = {
  readonly layer: PaintedLayer;
  readonly face: string;
  /** What it is laid on, '#rrggbb'; null on paper. */
  readonly skin: string | null;
  /** Of its edge when it stands out. */
  readonly ink: string;
};

/** One layer: its shapes in its colour, fading along their lines, with the pattern of its kind. */
export const Layer = memo(function Layer({ layer, face, skin, ink }: LayerProps) {
  const { emphasis = 'plain', kind } = layer;
  if (kind === 'care')
    return (
      <G>
        {layer.shapes.map((shape, i) => (
          <Path
            key={i}
            d={pathOf(shape.region, 2)}
            fill="none"
            stroke={ink}
            strokeWidth={0.9}
            strokeDasharray="2.4 1.6"
          />
        ))}
      </G>
    );
  const look = LAYER_LOOKS[kind];
  const wide = kind === 'base' || kind === 'powder';
  const strength = {
    lit: wide ? 0.6 : 0.85,
    plain: wide ? 0.18 : 0.62,
    faint: wide ? 0.06 : 0.18,
    outline: 1,
  }[emphasis];
  const fill = layer.colour ?? look.fallback;
  const pattern = skin === null ? PAPER_PATTERN : patternInk(skin, fill, strength);
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
              stroke={emphasis === 'lit' ? ink : 'none'}
              strokeWidth={0.4}
            />
            {look.pattern.form === 'plain' ? null : (
              <Path d={d} fill={`url(#${patternId(face, kind, pattern)})`} />
            )}
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

const patternId = (face: string, kind: LayerKind, ink: string): string =>
  `${face}pattern-${kind.replace(' ', '-')}${ink === PAPER_PATTERN ? '' : ink.slice(1)}`;

/** Fill patterns, one for each kind in use and each ink it may need on this ground. */
export function Patterns({
  kinds,
  face,
  skin,
}: {
  readonly kinds: readonly LayerKind[];
  readonly face: string;
  readonly skin: string | null;
}) {
  const inks = skin === null ? [PAPER_PATTERN] : PATTERN_INKS;
  return (
    <Defs>
      {[...new Set(kinds)].flatMap((kind) => {
        const { pattern } = LAYER_LOOKS[kind];
        if (pattern.form === 'plain') return [];
        const turned = 'angle' in pattern ? `rotate(${pattern.angle})` : undefined;
        return inks.map((ink) => (
          <Pattern
            key={`${kind}${ink}`}
            id={patternId(face, kind, ink)}
            patternUnits="userSpaceOnUse"
            width={pattern.gap}
            height={pattern.gap}
            patternTransform={turned}
          >
            <PatternTile pattern={pattern} ink={ink} opacity={skin === null ? 0.6 : PATTERN_STRENGTH} />
          </Pattern>
        ));
      })}
    </Defs>
  );
}

type TileProps = { readonly pattern: PatternForm; readonly ink?: string; readonly opacity?: number };

/** One tile of a pattern. */
export function PatternTile({ pattern, ink = PAPER_PATTERN, opacity = 0.6 }: TileProps) {
  const half = 'gap' in pattern ? pattern.gap / 2 : 0;
  switch (pattern.form) {
    case 'lines':
      return <Rect x={0} y={half} width={pattern.gap} height={pattern.width} fill={ink} opacity={opacity} />;
    case 'cross':
      return (
        <>
          <Rect x={0} y={half} width={pattern.gap} height={pattern.width} fill={ink} opacity={opacity} />
          <Rect x={half} y={0} width={pattern.width} height={pattern.gap} fill={ink} opacity={opacity} />
        </>
      );
    case 'dots':
      return <Circle cx={half} cy={half} r={pattern.radius} fill={ink} opacity={opacity} />;
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
            opacity={opacity}
          />
          <SvgLine
            y1={half - 0.8}
            y2={half + 0.8}
            x1={half}
            x2={half}
            stroke={ink}
            strokeWidth={0.3}
            opacity={opacity}
          />
        </>
      );
    case 'plain':
      return null;
  }
}
