import Color from 'colorjs.io';
import { differenceCiede2000 } from 'culori';
import {
  buildMixTable,
  deltaE2000,
  deltaE2000Many,
  labUnder,
  matchBase,
  mixSpectra,
  pumpRatios,
  reconstructSpectrum,
  seededRandom,
  type Lab,
  type Mixable,
} from '@toile/core';
import { medianMs, ms, row, type Row } from './measure';

const random = seededRandom(1);
const between = (low: number, high: number): number => low + (high - low) * random();
const anyLab = (): Lab => [between(0, 100), between(-60, 60), between(-60, 60)];
const skinLab = (): Lab => [between(26, 82), between(6, 14), between(8, 21)];

/** CIEDE2000 of one colour against many, and the base search over singles, pairs and triples of 60 bases. */
export function colourRows(): Row[] {
  const count = 20_000;
  const labs = Array.from({ length: count }, anyLab);
  const flat = Float64Array.from(labs.flat());
  const out = new Float64Array(count);
  const target: Lab = [60, 12, 18];
  const ours = medianMs(() => void deltaE2000Many(target, flat, out));

  const difference = differenceCiede2000();
  const culoriTarget = { mode: 'lab65' as const, l: target[0], a: target[1], b: target[2] };
  const culoriLabs = labs.map(([l, a, b]) => ({ mode: 'lab65' as const, l, a, b }));
  const culori = medianMs(() => culoriLabs.forEach((lab) => difference(culoriTarget, lab)));

  const colourTarget = new Color('lab', [...target]);
  const colours = labs.slice(0, 2000).map((lab) => new Color('lab', [...lab]));
  const colorjs = medianMs(() => colours.forEach((c) => colourTarget.deltaE(c, '2000')), 5) * 10;

  const kit: Mixable[] = Array.from({ length: 60 }, (_, i) => ({ id: String(i), lab: skinLab() }));
  const targets = Array.from({ length: 20 }, skinLab);
  const building = medianMs(() => void buildMixTable(kit, { maxProducts: 3 }), 3);
  const table = buildMixTable(kit, { maxProducts: 3 });
  const searching = medianMs(() => targets.forEach((t) => matchBase(t, [], { table })), 3) / targets.length;
  const small = kit.slice(0, BRUTE_KIT);
  const smallTable = buildMixTable(small, { maxProducts: 3 });
  const smallSearch =
    medianMs(() => targets.forEach((t) => matchBase(t, [], { table: smallTable })), 5) / targets.length;
  const brute = medianMs(() => bruteForce(targets[0]!, small), 1);
  // Brute force grows with the number of mixes alone: the whole kit's is the small kit's times as many mixes.
  const bruteWhole = (brute * table.length) / smallTable.length;
  return [
    row('CIEDE2000, 1 to 20,000', ours, 'culori', culori),
    row('CIEDE2000, 1 to 20,000', ours, 'colorjs.io', colorjs),
    row(`base match, ${BRUTE_KIT} bases, up to triples, table ready`, smallSearch, 'brute force', brute),
    row(
      'base match, 60 bases, up to triples, table ready',
      searching,
      'brute force (by number of mixes)',
      bruteWhole,
    ),
    row(
      'base match, 60 bases, first time with its table',
      building + searching,
      'brute force (by number of mixes)',
      bruteWhole,
    ),
    {
      what: 'that table',
      ours: ms(building),
      peer: `${table.length.toLocaleString('en-GB')} mixes, ${(table.bytes / 1e6).toFixed(1)} MB`,
      ratio: '',
    },
  ];
}

/** Bases that brute force is measured on. */
const BRUTE_KIT = 16;

/** Every single, pair and triple, predicted anew from its spectra. */
function bruteForce(target: Lab, kit: readonly Mixable[]): number {
  const spectra = kit.map((p) => reconstructSpectrum(p.lab, 'D65', 'oxide').spectrum);
  let best = Infinity;
  const tryAll = (members: readonly number[]): void => {
    for (const ratio of pumpRatios(members.length as 1 | 2 | 3, 6)) {
      const mixed = mixSpectra(members.map((m, k) => ({ spectrum: spectra[m]!, parts: ratio[k]! })));
      best = Math.min(best, deltaE2000(target, labUnder(mixed, 'D65')));
    }
  };
  for (let i = 0; i < kit.length; i++) {
    tryAll([i]);
    for (let j = i + 1; j < kit.length; j++) {
      tryAll([i, j]);
      for (let k = j + 1; k < kit.length; k++) tryAll([i, j, k]);
    }
  }
  return best;
}
