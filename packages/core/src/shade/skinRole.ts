import type { Coverage, Lab, Undertone } from '../colour';
import type { LayerKind, Placement } from '../face';
import type { Family, Finish, ProductKind, Texture, Tool } from '../kit';

/** What a layer is to a skin: each has a range of depth, hue and strength relative to it. */
export const SHADE_ROLES = [
  'base',
  'deeper edge',
  'lighter centre',
  'cover',
  'brighten',
  'contour',
  'bronzer',
  'blush',
  'light',
  'powder',
  'under-eye powder',
  'brow',
  'lid',
  'socket',
  'lip',
] as const;
export type ShadeRole = (typeof SHADE_ROLES)[number];

/** What is asked of the kit: a step of a look or chart as far as shades go. */
export type ShadeAsk = {
  readonly role: LayerKind | 'care';
  /** Steps from the skin, positive deeper; a fixed colour; or none. */
  readonly shade:
    | {
        readonly relative: {
          readonly to: 'skin';
          readonly depthSteps: number;
          readonly undertone?: Undertone;
        };
      }
    | { readonly lab: readonly [number, number, number] }
    | null;
  /** A colour asked for as it is on this very skin, whatever `shade` says. */ readonly outright?: Lab;
  readonly wants: {
    readonly kinds: readonly ProductKind[];
    readonly textures?: readonly Texture[];
    readonly finishes?: readonly Finish[];
    readonly coverages?: readonly Coverage[];
    readonly families?: readonly Family[];
    readonly mix?: boolean;
  };
  readonly placements: readonly Placement[];
  readonly doseMgPerCm2: number;
  readonly passes: number;
  readonly tool: Tool;
  readonly title?: string;
  readonly phase?: string;
};

/**
 * From these steps on a base is an edge or a centre by design (a base nearer than that is within
 * BASE_WITHIN), and a concealer there to brighten.
 */
const EDGE_FROM = 0.65;
const CENTRE_FROM = -0.4;
const BRIGHTEN_FROM = -0.6;
const UNDER_EYE: readonly string[] = [
  'zone.underEye',
  'zone.innerCorner',
  'underEyeLight',
  'innerComma',
  'outerWedge',
  'correctUnderEye',
  'underEyeVeil',
];
const SOCKET: readonly string[] = ['socket', 'outerLid', 'lowerLine', 'zone.crease'];

const guidesOf = (step: Pick<ShadeAsk, 'placements'>): readonly string[] =>
  step.placements.flatMap((p) => ('guide' in p ? [p.guide] : []));
/** Whether all a step's guided places lie under the eye. */
export const isUnderEye = (step: Pick<ShadeAsk, 'placements'>): boolean => {
  const guides = guidesOf(step);
  return guides.length > 0 && guides.every((guide) => UNDER_EYE.includes(guide));
};

const asksShimmer = ({ wants: { finishes = [] } }: Pick<ShadeAsk, 'wants'>): boolean =>
  finishes.length > 0 && finishes.every((one) => one === 'shimmer');

/** Depth a step asks for relative to skin, in shade steps; null where it asks for a fixed colour or none. */
export function askedSteps({ shade }: Pick<ShadeAsk, 'shade'>): number | null {
  return shade !== null && 'relative' in shade ? shade.relative.depthSteps : null;
}

/** The role a step's colour has on skin; null for what has none: liner, lashes, correctors, care. */
export function shadeRoleOf(
  step: Pick<ShadeAsk, 'role' | 'shade' | 'placements' | 'wants'>,
): ShadeRole | null {
  const asked = askedSteps(step) ?? 0;
  switch (step.role) {
    case 'base':
      return asked >= EDGE_FROM ? 'deeper edge' : asked <= CENTRE_FROM ? 'lighter centre' : 'base';
    case 'conceal':
      return asked <= BRIGHTEN_FROM ? 'brighten' : 'cover';
    case 'highlight':
      return step.wants.kinds[0] === 'concealer' || step.wants.kinds[0] === 'base' ? 'brighten' : 'light';
    case 'contour':
      return 'contour';
    case 'bronze':
      return 'bronzer';
    case 'blush':
      return 'blush';
    case 'powder':
      return isUnderEye(step) ? 'under-eye powder' : 'powder';
    case 'brow':
      return 'brow';
    case 'eye':
      // What is asked to shimmer is no shadow, wherever on the lid it lies.
      return guidesOf(step).some((guide) => SOCKET.includes(guide)) && !asksShimmer(step) ? 'socket' : 'lid';
    case 'lip':
      return step.wants.kinds.includes('lip liner') && !step.wants.kinds.includes('lip colour')
        ? null
        : 'lip';
    default:
      return null;
  }
}
