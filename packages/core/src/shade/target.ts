import { chromaOf, depthOf, hueOf, labOfHue, lightnessAtDepth, shiftDepth, type Lab } from '../colour';
import type { Features } from '../face';
import {
  bareLip,
  BOLD_LIGHTER,
  boldnessOfLip,
  browHair,
  isDeep,
  isLined,
  isVeryFair,
  LINED_EASE,
} from './ranges';
import { shadeRoleOf, type ShadeAsk } from './skinRole';
import type { Skin } from './faceApart';
import { skinTarget } from './skinTarget';

type Who = { readonly skin: Skin; readonly features: Features };

/**
 * The colour a step asks for on this skin, for every screen alike: steps from her own skin, or a look's
 * colour taken to where her role of it lies. Null when a step asks for none or nothing has been read.
 */
export function wantedColour(
  step: Pick<ShadeAsk, 'shade' | 'role'> & Partial<ShadeAsk>,
  { skin: read, features }: Who,
  contrast: 'soft' | 'bold' = 'soft',
): Lab | null {
  const { shade, outright } = step;
  if (outright) return outright;
  if (shade === null) return null;
  const skin = skinTarget(read);
  if ('lab' in shade) return skin ? onThisSkin(step, shade.lab, skin, features, contrast) : shade.lab;
  if (!skin) return null;
  const { depthSteps, undertone } = shade.relative;
  const eased =
    step.role === 'contour' || step.role === 'highlight' || (step.role === 'conceal' && depthSteps < 0);
  const wanted = depthSteps * (eased && isLined(features) ? LINED_EASE : 1);
  if (wanted === 0 && !undertone) return skin;
  const shifted = shiftDepth(skin, wanted, undertone ? { undertone } : {});
  return step.role === 'contour' && !undertone ? asShadow(shifted, skin) : shifted;
}

/**
 * A shadow is a little cooler and quieter than skin, a greyed taupe on very fair skin, and keeps its red on
 * deep skin.
 */
function asShadow(lab: Lab, skin: Lab): Lab {
  if (isDeep(skin)) return labOfHue(lab[0], chromaOf(lab), hueOf(lab) - 3);
  return isVeryFair(skin)
    ? labOfHue(lab[0], 0.75 * chromaOf(lab), hueOf(lab) - 3)
    : labOfHue(lab[0], 0.9 * chromaOf(lab), hueOf(lab) - 2);
}

/** A look's own colour, taken to this skin: what is rosy on one is chalk or a stripe on another. */
function onThisSkin(
  step: Pick<ShadeAsk, 'role'> & Partial<ShadeAsk>,
  lab: Lab,
  skin: Lab,
  features: Features,
  contrast: 'soft' | 'bold',
): Lab {
  switch (step.role) {
    case 'blush':
      return blushFor(lab, skin);
    case 'brow':
      return browHair(features, skin);
    case 'lip':
      return lipFor(lab, skin);
    case 'lip line': {
      const lip = lipFor(lab, skin);
      return [lightnessAtDepth(depthOf(lip) + LINER_DEEPER), lip[1], lip[2]];
    }
    case 'eye': {
      const role = shadeRoleOf({
        role: 'eye',
        shade: null,
        placements: step.placements ?? [],
        wants: step.wants ?? { kinds: [] },
      });
      const most = contrast === 'bold' ? 9 : 6;
      return eased(lab, skin, role === 'socket' ? 1.5 : -4, most);
    }
    default:
      return lab;
  }
}

/** A colour brought within steps of the skin, its hue and strength kept. */
function withinSteps(lab: Lab, skin: Lab, from: number, to: number): Lab {
  const off = depthOf(lab) - depthOf(skin);
  const held = Math.min(to, Math.max(from, off));
  return held === off ? lab : [lightnessAtDepth(depthOf(skin) + held), lab[1], lab[2]];
}

/** Steps before the end of a range from which on colours are drawn together (never over a third of it). */
const EASED_FROM = 2.5;
/** Steps on from there by which they have come two thirds of the way to the end. */
const EASED_OVER = 5;

/**
 * An eye colour brought within steps of the skin so that what a look has deeper stays deeper: colours beyond
 * an end are drawn together before it, not all laid upon it.
 */
function eased(lab: Lab, skin: Lab, from: number, to: number): Lab {
  const off = depthOf(lab) - depthOf(skin);
  const room = Math.min(EASED_FROM, (to - from) / 3);
  const past = (by: number): number => room * (1 - Math.exp(-by / EASED_OVER));
  const [low, high] = [from + room, to - room];
  const held = off > high ? high + past(off - high) : off < low ? low - past(low - off) : off;
  return held === off ? lab : [lightnessAtDepth(depthOf(skin) + held), lab[1], lab[2]];
}

/** Steps a blush may lie under and over the skin in the pan before it turns to chalk, or shouts. */
const BLUSH_STEPS = { most: 5, fair: -1.5, deep: -0.5 } as const;

/**
 * A pale blush turns to chalk on deep skin: there it goes deeper and redder with the skin; on very fair skin
 * a deep one goes lighter.
 */
function blushFor(lab: Lab, skin: Lab): Lab {
  const below = Math.max(0, 52 - skin[0]);
  const redder: Lab = [Math.min(lab[0], lab[0] - 0.6 * below), lab[1] + 0.25 * below, lab[2] + 0.15 * below];
  return withinSteps(redder, skin, BLUSH_STEPS[isDeep(skin) ? 'deep' : 'fair'], BLUSH_STEPS.most);
}

/** A liner is a little deeper than the lip it holds, shade steps. */
const LINER_DEEPER = 0.8;

/**
 * Nudes follow her own lip; the more a lip is a colour of its own, the lighter it may stay as the look has
 * it.
 */
function lipFor(lab: Lab, skin: Lab): Lab {
  const lighter = (isDeep(skin) ? 0.5 : 1.2) + BOLD_LIGHTER * boldnessOfLip(lab, skin);
  const lightest = depthOf(skin) - lighter;
  if (depthOf(lab) >= lightest) return lab;
  const chroma = Math.max(chromaOf(lab), chromaOf(bareLip(skin)));
  return labOfHue(lightnessAtDepth(lightest), chroma, hueOf(lab));
}
