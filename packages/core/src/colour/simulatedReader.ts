import { standardNormal, type Random } from '../math';
import { messages } from '../messages';
import { hueOf, chromaOf, type Lab } from './lab';

/** Zones the reader asks for, in the order of a session. */
export const SKIN_ZONES = [
  'forehead',
  'cheek',
  'underEye',
  'mouthSide',
  'chin',
  'neck',
  'decollete',
] as const;
export type SkinZone = (typeof SKIN_ZONES)[number];

/** Zone names as said aloud. */
export const SKIN_ZONE_NAMES: Record<SkinZone, string> = messages({
  forehead: 'Forehead',
  cheek: 'Cheek',
  underEye: 'Under eye',
  mouthSide: 'Beside mouth',
  chin: 'Chin',
  neck: 'Neck',
  decollete: 'Decollete',
});

/** How each zone differs from the skin's general colour (model; dL shrinks with depth). */
const ZONE_OFFSETS: Record<SkinZone, Lab> = {
  forehead: [-1.5, 0.2, 1],
  cheek: [-1, 2.2, -0.3],
  underEye: [-5, 1.2, -3],
  mouthSide: [-1.6, 1.2, 0.4],
  chin: [-2, 0.8, 0.3],
  neck: [0.8, -2, 0.8],
  decollete: [-0.8, -0.3, 0.8],
};

/** A made-up skin: the same general colour carried to every zone. */
export function skinByZone(general: Lab): Record<SkinZone, Lab> {
  const scale = (general[0] + 16) / 90;
  const at = (zone: SkinZone): Lab => {
    const [dL, da, db] = ZONE_OFFSETS[zone];
    return [general[0] + dL * scale, general[1] + da, general[2] + db];
  };
  return {
    forehead: at('forehead'),
    cheek: at('cheek'),
    underEye: at('underEye'),
    mouthSide: at('mouthSide'),
    chin: at('chin'),
    neck: at('neck'),
    decollete: at('decollete'),
  };
}

/** Repeatability of the stand-in in CIELAB units, positioning error, and how often a sample is bad. */
const REPEATABILITY = 0.23;
const POSITIONING = 0.58;
const BAD_SAMPLE = 0.08;

/** One sample of the stand-in shade reader: the true colour with noise and, now and then, a bad contact. */
export function simulateSample(truth: Lab, random: Random): Lab {
  const noise = Math.hypot(REPEATABILITY, POSITIONING);
  const bad = random() < BAD_SAMPLE;
  const slip = bad ? 4.3 : 0;
  const turn = 2 * Math.PI * random();
  return [
    truth[0] + noise * standardNormal(random) - slip * 0.7,
    truth[1] + noise * standardNormal(random) + slip * 0.5 * Math.cos(turn),
    truth[2] + noise * standardNormal(random) + slip * 0.5 * Math.sin(turn),
  ];
}

/** True when a colour could be skin or a cosmetic on it: guards typed values. */
export function isPlausibleSkin(lab: Lab): boolean {
  return (
    lab[0] >= 12 &&
    lab[0] <= 90 &&
    chromaOf(lab) <= 45 &&
    (chromaOf(lab) < 4 || hueOf(lab) <= 110 || hueOf(lab) >= 350)
  );
}
