import { memo, useMemo } from 'react';
import {
  lineArt,
  type Eyes,
  type Ink,
  type Features,
  type Landmarks,
  type LineArt,
  type Skin,
} from '@toile/core';
import { DrawnFace, type DrawnFaceProps } from './DrawnFace';
import { useGround } from './ground';
import { ownSkin } from './ownSkin';

type FaceViewProps = Omit<DrawnFaceProps, 'drawing'> & {
  readonly landmarks: Landmarks;
  /** Her skin as it was read: drawn on, unless paper was chosen or nothing was read. */
  readonly skin?: Skin;
  /** Drawn on the skin even where paper was chosen: the skin is what is shown. */
  readonly onSkin?: boolean;
  readonly eyes?: Eyes;
  /** Only the parts near eyes and mouth, for insets. */
  readonly near?: boolean;
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

/** A client's face in ink on paper or on the skin as it was read, drawn here and now. */
export const FaceView = memo(function FaceView({
  landmarks,
  skin,
  onSkin = false,
  eyes = 'open',
  near = false,
  ...shown
}: FaceViewProps) {
  const { features } = shown;
  const art = useMemo(() => drawingOf(landmarks, features, eyes, near), [landmarks, features, eyes, near]);
  const chosen = useGround();
  const ground = onSkin ? 'skin' : chosen;
  const drawing = useMemo(
    () => ({ art, own: skin && ground === 'skin' ? ownSkin(skin, landmarks) : null }),
    [art, skin, ground, landmarks],
  );
  return <DrawnFace {...shown} drawing={drawing} />;
});
