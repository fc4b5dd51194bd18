import { msg } from '../../messages';
import { ZONES, ZONE_NAMES, zoneOutline, type ZoneName } from '../zones';
import { CHEEK_GUIDES } from './cheek';
import type { GuideDefinition, LayerKind } from './definition';
import { ADORNMENT_GUIDES } from './adornment';
import { BROW_GUIDES } from './brow';
import { COVER_GUIDES } from './cover';
import { EYE_GUIDES } from './eyes';
import { LIGHT_GUIDES } from './light';
import { LIP_GUIDES } from './lips';
import { SHADOW_GUIDES } from './shadow';
import { SUN_GUIDES } from './sun';

export * from './definition';
export { contourFinder, isInHollow, type ContourFinder } from './contourFinder';
export { cheekLine, CLEAR_OF_MOUTH, CLEAR_OF_RIM, CLEAR_OF_SMILE } from './cheek';
export { freeTriangle } from './shadow';

/** Guides that follow the practice of the trade on each face. */
export const GUIDES = {
  ...CHEEK_GUIDES,
  ...SHADOW_GUIDES,
  ...SUN_GUIDES,
  ...LIGHT_GUIDES,
  ...COVER_GUIDES,
  ...BROW_GUIDES,
  ...EYE_GUIDES,
  ...LIP_GUIDES,
  ...ADORNMENT_GUIDES,
} as const satisfies Record<string, GuideDefinition>;
export type DrawnGuideName = keyof typeof GUIDES;

/** The guides that can hold a kind of layer, by name. */
export function guidesFor(kind: LayerKind): DrawnGuideName[] {
  return (Object.keys(GUIDES) as DrawnGuideName[]).filter((name) => GUIDES[name].kind === kind);
}

/** A guide is drawn by rule, or is simply a zone of the face filled. */
export type GuideName = DrawnGuideName | `zone.${ZoneName}`;
export const GUIDE_NAMES: readonly GuideName[] = [
  ...(Object.keys(GUIDES) as DrawnGuideName[]),
  ...ZONE_NAMES.map((zone) => `zone.${zone}` as const),
];

/** A guide by name; zones become guides with nothing to adjust. */
export function guideNamed(name: GuideName): GuideDefinition {
  if (isDrawn(name)) return GUIDES[name];
  const zone = name.slice('zone.'.length) as ZoneName;
  return {
    kind: zoneKind(zone),
    label: ZONES[zone].label,
    where: msg`over the ${ZONES[zone].label.toLowerCase()}`,
    central: !ZONES[zone].paired,
    adjustable: [],
    build: (half, face) => ({
      region: [zoneOutline(zone, face.landmarks, half.side).map(half.fromFace)],
      line: null,
      handles: {},
      featherMm: 3,
      fade: [1, 1],
    }),
  };
}

function isDrawn(name: GuideName): name is DrawnGuideName {
  return name in GUIDES;
}

function zoneKind(zone: ZoneName): LayerKind {
  if (zone === 'underEye' || zone === 'innerCorner') return 'conceal';
  if (zone === 'upperLip' || zone === 'lowerLip') return 'lip';
  return 'base';
}
