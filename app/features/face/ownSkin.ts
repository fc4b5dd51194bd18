import { skinInks, skinSpots, type Landmarks, type Skin, type SkinInks, type SkinSpot } from '@toile/core';

/** What a face is coloured with where it is drawn on its own skin. */
export type OwnSkin = { readonly inks: SkinInks; readonly spots: readonly SkinSpot[] };

/** The skin as it was read, to draw a face on; null before it was read. */
export function ownSkin(skin: Skin, landmarks: Landmarks): OwnSkin | null {
  const inks = skinInks(skin);
  return inks ? { inks, spots: skinSpots(skin, landmarks) } : null;
}
