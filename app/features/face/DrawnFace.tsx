import { memo, useId, useMemo } from 'react';
import Svg, { G, Image as SvgImage, Path } from 'react-native-svg';
import type { FaceGuides, Features, Ink, InkFill, LineArt, SkinInks } from '@toile/core';
import { useColours } from '../../ui';
import { Chalk } from './FaceChalk';
import { Layer, Patterns, type PaintedLayer } from './FaceLayers';
import type { OwnSkin } from './ownSkin';
import { SkinSpots } from './SkinSpots';

/** How a face is drawn in ink, and how it is coloured where it is drawn on the skin as it was read. */
export type FaceDrawing = {
  readonly art: LineArt;
  readonly own: OwnSkin | null;
};

export type DrawnFaceProps = {
  readonly drawing: FaceDrawing;
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
  /** 'slice' fills the frame, 'meet' keeps everything in it. */
  readonly fitting?: 'meet' | 'slice';
};

const HAIR_TONES = {
  fair: '#c9c3b6',
  red: '#b79a8c',
  brown: '#8f857d',
  black: '#55524f',
  grey: '#c4c4c4',
} as const;

/**
 * Parts of the drawing that are not lines: skin of their own, and brows and lashes, which stay dark where
 * lines are chalk.
 */
const partsOn = ({ neck, hair }: SkinInks): Readonly<Record<string, string>> => ({
  'neck skin': neck,
  'brow ink': hair,
  'brow hairs ink': hair,
  'lashes ink': hair,
  'lash line ink': hair,
  'upper lid ink': hair,
});

/** A drawing of a face with placed layers under the fine lines and guides in chalk. */
export const DrawnFace = memo(function DrawnFace({
  drawing: { art, own },
  features,
  layers = [],
  guides = null,
  finder = false,
  picture = null,
  view,
  width,
  height,
  label,
  fitting = 'meet',
}: DrawnFaceProps) {
  const c = useColours();
  const id = useId();
  const inks = own?.inks ?? null;
  const ink = inks?.ink ?? c.faceInk;
  const parts = useMemo(() => (inks ? partsOn(inks) : null), [inks]);
  const fills: Readonly<Record<InkFill, string>> = useMemo(
    () => ({
      ink,
      skin: inks?.skin ?? c.faceSkin,
      shade: inks?.shade ?? c.faceShade,
      hair: HAIR_TONES[features.hairTone],
      sheen: c.faceSkin,
      cloth: c.line,
      lip: inks?.lip ?? c.faceLip,
      eyeWhite: '#fbfbfb',
      iris: '#7d7d7d',
      pupil: '#101010',
      catchlight: '#ffffff',
    }),
    [c, ink, inks, features.hairTone],
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
      <Patterns
        kinds={layers.flatMap(({ kind }) => (kind === 'care' ? [] : [kind]))}
        face={id}
        skin={inks?.skin ?? null}
      />
      <Inks inks={art.ground} fills={fills} own={parts} />
      {own && inks && !picture ? <SkinSpots spots={own.spots} /> : null}
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
        <Layer key={layer.id} layer={layer} face={id} skin={inks?.skin ?? null} ink={ink} />
      ))}
      <Inks inks={art.lines} fills={fills} own={parts} />
      {guides ? <Chalk guides={guides} finder={finder} colour={inks?.chalk ?? c.chalk} /> : null}
    </Svg>
  );
});

const Inks = memo(function Inks({
  inks,
  fills,
  own,
}: {
  readonly inks: readonly Ink[];
  readonly fills: Readonly<Record<InkFill, string>>;
  /** Parts with a colour of their own, by name and fill. */
  readonly own: Readonly<Record<string, string>> | null;
}) {
  return (
    <G>
      {inks.map((ink, i) => (
        <Path
          key={i}
          d={ink.d}
          fill={own?.[`${ink.part} ${ink.fill}`] ?? fills[ink.fill]}
          opacity={ink.opacity}
        />
      ))}
    </G>
  );
});
