import type { FaceModel } from '../../faceModel';
import type { Features } from '../../features';
import { bob } from './bob';
import { braids } from './braids';
import { covered } from './covered';
import { cropped } from './cropped';
import { curls } from './curls';
import { long } from './long';
import { shortWaves } from './shortWaves';
import { tiedBack } from './tiedBack';
import type { HairInk } from './parts';

const STYLES: Readonly<Record<Features['hair'], (face: FaceModel) => HairInk>> = {
  'tied back': tiedBack,
  long,
  bob,
  'short waves': shortWaves,
  braids,
  curls,
  cropped,
  covered,
};

export function hairInk(face: FaceModel): HairInk {
  return STYLES[face.features.hair](face);
}
