import {
  PLAIN_FEATURES,
  skinByZone,
  type Features,
  type Lab,
  type Measurements,
  type SkinZone,
  type Undertone,
} from '@toile/core';
import { idFor } from './ids';
import { skinAt } from './products';

export type DemoClient = {
  readonly id: string;
  readonly name: string;
  readonly birthYear: number;
  readonly guardianConsent: string;
  readonly sensitivities: readonly string[];
  readonly notes: string;
  readonly features: Features;
  readonly measurements: Measurements;
  readonly skin: Record<SkinZone, Lab>;
  /** Shade steps the skin has moved since the first reading. */
  readonly driftSteps: number;
};

type Person = {
  readonly name: string;
  readonly born: number;
  readonly depth: number;
  readonly undertone: Undertone;
  readonly face?: Measurements;
  readonly looks?: Partial<Features>;
  readonly sensitive?: readonly string[];
  readonly notes?: string;
  readonly consent?: string;
  readonly drift?: number;
};

/** Everyone in the demo, very light to very deep, invented. */
const PEOPLE: readonly Person[] = [
  {
    name: 'Isaura Penhallow',
    born: 1997,
    depth: 6.1,
    undertone: 'cool',
    face: { faceLength: 182, cheekboneWidth: 131, jawWidth: 101, chinWidth: 27, upperLip: 10 },
    looks: { hair: 'long', hairTone: 'brown', nose: 'fine' },
    notes: 'Bride. Cries easily, laughs more. Dress is ivory crêpe, silver comb.',
  },
  {
    name: 'Morwenna Penhallow',
    born: 1966,
    depth: 6.8,
    undertone: 'neutral',
    face: { faceLength: 178, cheekboneWidth: 134, jawWidth: 110, lidShowLeft: 2, lidShowRight: 2.6 },
    looks: {
      lids: { left: 'hooded', right: 'partly hooded' },
      age: 'mature',
      lines: ['crow’s feet', 'smile', 'forehead'],
      hair: 'short waves',
      hairTone: 'grey',
      nose: 'turned up',
      dry: true,
    },
    notes: 'Mother of the bride. Reads without glasses only at arm’s length.',
  },
  {
    name: 'Zenobia Achterberg',
    born: 1964,
    depth: 17.2,
    undertone: 'warm',
    face: {
      faceLength: 176,
      cheekboneWidth: 138,
      jawWidth: 112,
      noseWidth: 37,
      upperLip: 12,
      lowerLip: 12.5,
    },
    looks: { age: 'mature', hair: 'cropped', hairTone: 'grey', nose: 'broad', lines: ['smile'] },
    notes: 'Mother of the groom.',
  },
  {
    name: 'Ottoline Grieve',
    born: 1941,
    depth: 4.4,
    undertone: 'cool',
    face: { faceLength: 172, cheekboneWidth: 128, jawWidth: 104, upperLip: 5.5, lowerLip: 7 },
    looks: {
      age: 'mature',
      lines: ['forehead', 'between brows', 'crow’s feet', 'under eye', 'smile', 'lip'],
      hairTone: 'grey',
      lids: { left: 'hooded', right: 'hooded' },
      brows: 'sparse',
      headTremor: true,
      dry: true,
    },
    notes:
      'Grandmother. Head tremor: rest the little finger on the cheekbone, short strokes, a break after the base.',
  },
  {
    name: 'Leocadia Brandt',
    born: 1996,
    depth: 20.8,
    undertone: 'neutral',
    face: {
      faceLength: 184,
      cheekboneWidth: 136,
      jawWidth: 103,
      noseWidth: 36,
      upperLip: 12.5,
      lowerLip: 13,
      foreheadWidth: 102,
    },
    looks: { hair: 'curls', hairTone: 'black', nose: 'rounded', oily: ['forehead', 'nose'] },
    notes: 'Attendant.',
  },
  {
    name: 'Søla Vestergård',
    born: 1998,
    depth: 3.8,
    undertone: 'neutral',
    face: { faceLength: 186, cheekboneWidth: 132, jawWidth: 104, pupilDistance: 65 },
    looks: { hairTone: 'fair', eyes: 'deep-set', brows: 'fine' },
    sensitive: ['fragrance', 'latex'],
    notes: 'Attendant. Reacts to perfume; asks to see every list.',
  },
  {
    name: 'Nadira Quill',
    born: 1995,
    depth: 11.2,
    undertone: 'olive',
    face: {
      faceLength: 183,
      cheekboneWidth: 133,
      jawWidth: 107,
      eyeOpening: 11.4,
      browGapLeft: 19,
      browGapRight: 19,
    },
    looks: { hair: 'covered', eyes: 'round' },
    notes: 'Attendant. Wears a scarf; forehead stays covered to the hairline.',
  },
  {
    name: 'Posy Penhallow',
    born: 2018,
    depth: 5.2,
    undertone: 'cool',
    face: {
      faceLength: 152,
      cheekboneWidth: 118,
      jawWidth: 90,
      noseLength: 39,
      noseWidth: 27,
      mouthWidth: 42,
      chinWidth: 22,
      templeWidth: 116,
      pupilDistance: 54,
    },
    looks: { age: 'child', hairTone: 'fair', nose: 'fine', brows: 'fine' },
    consent: 'Morwenna Penhallow, grandmother, signed',
    notes: 'Child. A little light on the cheek and that is all.',
  },
  {
    name: 'Ambrose Tull',
    born: 1990,
    depth: 8.8,
    undertone: 'warm',
    face: {
      faceLength: 190,
      cheekboneWidth: 140,
      jawWidth: 120,
      chinWidth: 38,
      noseLength: 54,
      browGapLeft: 17,
      browGapRight: 17.5,
    },
    looks: { hair: 'cropped', beard: true, nose: 'arched', oily: ['forehead', 'nose', 'chin'] },
    notes: 'Glass-blower, guild gala: speech under hot lamps.',
  },
  {
    name: 'Philippa Renn',
    born: 1979,
    depth: 7.4,
    undertone: 'warm',
    face: { faceLength: 196, cheekboneWidth: 130, jawWidth: 104, foreheadHeight: 58 },
    looks: { hair: 'long', hairTone: 'red', narrowTemples: true, lines: ['forehead'] },
    notes: 'Guild gala. Narrow temples: no forehead contour.',
  },
  {
    name: 'Ignace Dovrel',
    born: 1957,
    depth: 19.4,
    undertone: 'cool',
    face: { faceLength: 187, cheekboneWidth: 141, jawWidth: 118, noseWidth: 40 },
    looks: { hair: 'cropped', hairTone: 'grey', nose: 'broad', age: 'mature', lines: ['forehead', 'smile'] },
    notes: 'Guild master.',
  },
  {
    name: 'Thandeka Moor',
    born: 1988,
    depth: 15.4,
    undertone: 'warm',
    face: { faceLength: 181, cheekboneWidth: 139, jawWidth: 114, chinWidth: 33, upperLip: 11.5 },
    looks: { hair: 'braids', hairTone: 'black', nose: 'rounded' },
    notes: 'Rebooking after eight months: sings in the anniversary portraits.',
    drift: 1.2,
  },
  {
    name: 'Renske Halloran',
    born: 1983,
    depth: 9.6,
    undertone: 'olive',
    face: {
      faceLength: 179,
      cheekboneWidth: 132,
      jawWidth: 108,
      browGapLeft: 17,
      browGapRight: 20.8,
      lidShowLeft: 2.4,
      lidShowRight: 4.2,
    },
    looks: {
      lids: { left: 'partly hooded', right: 'open' },
      hair: 'bob',
      nose: 'arched',
      right: { brows: 'sparse', lines: ['crow’s feet'] },
    },
    notes: 'One brow and lid sit lower on the client’s left.',
  },
  {
    name: 'Caspian Orrell',
    born: 2001,
    depth: 5.6,
    undertone: 'neutral',
    face: { faceLength: 185, cheekboneWidth: 134, jawWidth: 112 },
    looks: { hair: 'short waves', nose: 'turned up', hairTone: 'red', lenses: true, brows: 'full' },
    sensitive: ['lanolin'],
    notes: 'Choir tenor. Wears contact lenses.',
  },
  {
    name: 'Beatrix Lindqvist',
    born: 1972,
    depth: 12.8,
    undertone: 'neutral',
    face: { faceLength: 177, cheekboneWidth: 140, jawWidth: 118, chinWidth: 36 },
    looks: {
      hair: 'bob',
      hairTone: 'black',
      age: 'adult',
      lines: ['crow’s feet'],
      oily: ['forehead', 'nose', 'chin', 'cheeks'],
    },
    notes: 'Choir mistress.',
  },
];

export const peopleFrom = (people: readonly Person[]): DemoClient[] =>
  people.map((p) => ({
    id: idFor(`client ${p.name}`),
    name: p.name,
    birthYear: p.born,
    guardianConsent: p.consent ?? '',
    sensitivities: p.sensitive ?? [],
    notes: p.notes ?? '',
    features: { ...PLAIN_FEATURES, ...p.looks },
    measurements: p.face ?? {},
    skin: skinByZone(faceFor(skinAt(p.depth, p.undertone))),
    driftSteps: p.drift ?? 0,
  }));

export const CLIENTS: readonly DemoClient[] = peopleFrom(PEOPLE);

/** Undertone is read on the neck; faces are redder and a little less yellow than the neck below them. */
function faceFor([L, a, b]: Lab): Lab {
  return [L, a + 2, b - 0.8];
}

export function clientNamed(name: string): DemoClient {
  const client = CLIENTS.find((c) => c.name === name);
  if (!client) throw new Error(`no demo client is called ${name}`);
  return client;
}
