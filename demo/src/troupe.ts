import { peopleFrom, type DemoClient } from './clients';

/**
 * A travelling company of players, made up for the boards twice a week: the studio tries things on them. They
 * have no visits to come, and no part in what the corpus judges by.
 */
export const TROUPE: readonly DemoClient[] = peopleFrom([
  {
    name: 'Wendelin Korda',
    born: 1991,
    depth: 5.2,
    undertone: 'neutral',
    face: { faceLength: 184, cheekboneWidth: 132 },
    looks: { oily: ['forehead', 'nose', 'chin'], hair: 'short waves', nose: 'broad' },
    notes: 'Player. Sweats under the lamps, forehead first.',
  },
  {
    name: 'Perpetua Lund',
    born: 1984,
    depth: 9.4,
    undertone: 'warm',
    face: { faceLength: 179, jawWidth: 104 },
    looks: { oily: ['nose'], hair: 'curls', hairTone: 'black' },
    notes: 'Player. Two quick changes an evening.',
  },
  {
    name: 'Anselm Okoro',
    born: 1988,
    depth: 18.2,
    undertone: 'warm',
    face: { faceLength: 187, cheekboneWidth: 137 },
    looks: { oily: ['forehead', 'nose'], hair: 'cropped', hairTone: 'black', nose: 'broad' },
    notes: 'Player, leads the second act.',
  },
  {
    name: 'Cosima Brandreth',
    born: 1979,
    depth: 6.9,
    undertone: 'cool',
    looks: { dry: true, hair: 'bob', age: 'adult', lines: ['smile'] },
    notes: 'Player. Dry cheeks in winter.',
  },
  {
    name: 'Ilario Fenn',
    born: 1995,
    depth: 13.1,
    undertone: 'olive',
    face: { faceLength: 182, cheekboneWidth: 134 },
    looks: { oily: ['forehead', 'nose', 'chin', 'cheeks'], hair: 'short waves', hairTone: 'black' },
    notes: 'Player and stage hand.',
  },
  {
    name: 'Rosalba Whitlow',
    born: 1990,
    depth: 8.1,
    undertone: 'neutral',
    looks: { oily: ['nose'], hair: 'long' },
    notes: 'Player. Sings, so the mouth moves.',
  },
]);
