import type { Point, Polyline } from './point';

/** Through-points of the canonical half face (client's left), mm. Drawn and measured through the warp. */
const line = (text: string): Polyline =>
  text
    .trim()
    .split(/\s+/)
    .map((pair): Point => {
      const [x, y] = pair.split(',').map(Number);
      return [x!, y!];
    });

export const OUTLINE = line(
  '63.6,-27 65.2,-12 66.1,2 66,13 64.9,27 62,43 57.8,58 52.2,71.5 45.4,82.4 37,91.7 27,99.4 17.2,104.7 8.8,107.3 0,108.2',
);
export const UPPER_LID = line(
  '15.7,3.3 16.9,2 19.1,-.5 22.6,-3.2 26.6,-4.8 30.8,-5.2 34.8,-4.8 38.6,-3.5 42,-1.9 44.8,-.6',
);
export const LOWER_LID = line(
  '44.8,-.6 42,2.1 38.4,4.2 34.8,5.3 31,5.6 26.8,5.4 23,4.8 19.6,4.1 17.2,3.7 15.7,3.3',
);
export const CREASE = line('18.6,-2.6 20.2,-5.2 24.6,-8 31,-9.2 37.4,-8.6 42,-6.7 45.6,-4.4 47.8,-2.4');
export const CLOSED_LASH_LINE = line('15.7,3.3 17.6,4 20.5,5.1 24.5,6.2 30,6.9 35.6,6.2 40.5,4 44.9,.2');
export const CLOSED_CREASE = line('18.2,-.6 20.6,-3.9 25.4,-7 31.5,-8.1 38,-7.4 43.4,-5 48,-1.4');
export const BROW = line('10.9,-18.9 14.5,-20.4 18.5,-21.3 26,-22.9 34.2,-24.5 42,-25 49.8,-23.2 57.2,-19.6');
export const BROW_HALF_WIDTHS = [1.2, 2.2, 2.7, 2.9, 2.65, 2.1, 1.3, 0.2] as const;
export const ALA = line('12.4,30.6 14.6,32.4 16.2,35.6 16.3,38.6 14.9,41.2 12.6,42.1');
export const NOSE_TIP = line('5.2,42.6 3.4,43.9 1.6,45.1 0,45.5');
export const NOSTRIL = line('5.2,42.4 7,40.9 9.4,40.6 11.2,41.6 9.6,42.2 7.2,42.3');
export const UPPER_LIP = line(
  '0,57.4 1.3,57 3.3,55.8 5.3,55.2 7.6,55.8 10.6,57.3 14.5,59.1 19.2,61.3 23,63.1 25.2,63.9',
);
export const MOUTH_LINE = line('25.8,63.5 24,63.9 18.5,64 13,63.5 8.4,63.5 5,64.1 2.4,64.6 0,64.4');
export const LOWER_LIP = line('24.6,64.6 21,67.4 17.4,70 13,72.4 8,74.1 4,74.7 0,74.8');
export const EAR = line(
  '65.4,-3 66.6,-10 69,-15.2 72.6,-17.4 76.4,-15.8 78.8,-10.4 79.2,-3 77.8,5 75.4,12.4 73.8,18.6 73.4,24 72.4,30 70,34.2 67,35.2 64.9,32.6 64.4,28',
);
export const EAR_FOLD = line(
  '68.2,-4 70,-9.6 73,-11.8 75.6,-9.4 76.4,-3.4 75.2,3.6 72.8,9.8 71.4,15.4 71,20.4 69.4,23',
);
/** The inner ridge and the small flap before the ear's opening. */
export const EAR_INNER = line('72.8,-5.6 73,-.4 71.4,4.4 69.2,8.2 67.6,10.4 67.8,13.2 67,15');
export const HAIRLINE = line(
  '0,-72 9,-72 18,-71 27,-68.4 36,-64 43.5,-58.5 49,-52.5 53,-45.5 57,-39.5 61,-35 63.4,-28 64.6,-20 66,-10',
);
export const CROWN = line(
  '0,-123 13,-122 27,-118.4 40,-111.4 52,-100.4 61,-86 67,-70 71,-53 72.4,-36 71.4,-20 68.6,-9',
);
export const NECK = line(
  '47.5,66 45.6,82 44,93 43,104 42.4,116 42.6,128 44.2,141 48.4,153 57,163 70,170.4 88,176.4 110,181.4 140,187 172,191.5 206,195',
);
export const COLLARBONE = line('11,182 20,178.8 33,177.6 48,179 62,178.4 78,177.6');
export const SMILE_LINE = line('17,40.5 20.4,45.4 24.6,51.5 28.6,58.6 31.5,67');

/** Where a guide's cheek line leaves the ear. */
export const EAR_ATTACHMENT: Point = [64.4, -6];
