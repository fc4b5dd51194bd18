/**
 * CIELAB: lightness 0 to 100, a* towards red, b* towards yellow. In core always under D65, 2-degree observer.
 */
export type Lab = readonly [L: number, a: number, b: number];
/** CIE XYZ scaled so that the white has Y = 1. */
export type Xyz = readonly [X: number, Y: number, Z: number];
/** Display sRGB, each channel 0 to 1. */
export type Rgb = readonly [r: number, g: number, b: number];

const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

/** D65 white for the 2-degree observer, summed at 10 nm over 380 to 730 nm as the spectra here are. */
export const WHITE_D65: Xyz = [0.9501817140528613, 1, 1.0876908200349413];

/** White of the sRGB display, the sums of the rows of its matrix. */
const SRGB_WHITE: Xyz = [0.9504559, 1, 1.0890578];

function f(t: number): number {
  return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
}

function fInverse(t: number): number {
  const cube = t * t * t;
  return cube > EPSILON ? cube : (116 * t - 16) / KAPPA;
}

/** CIELAB to XYZ (CIE 15:2004, eq. 8.3 reversed) relative to the given white. */
export function labToXyz(lab: Lab, white: Xyz = WHITE_D65): Xyz {
  const fy = (lab[0] + 16) / 116;
  return [
    white[0] * fInverse(fy + lab[1] / 500),
    white[1] * fInverse(fy),
    white[2] * fInverse(fy - lab[2] / 200),
  ];
}

/** XYZ to CIELAB (CIE 15:2004, eq. 8.3) relative to the given white. */
export function xyzToLab(xyz: Xyz, white: Xyz = WHITE_D65): Lab {
  const fx = f(xyz[0] / white[0]);
  const fy = f(xyz[1] / white[1]);
  const fz = f(xyz[2] / white[2]);
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

function encodeGamma(linear: number): number {
  const x = linear < 0 ? 0 : linear > 1 ? 1 : linear;
  return x <= 0.0031308 ? 12.92 * x : 1.055 * x ** (1 / 2.4) - 0.055;
}

/**
 * CIELAB (D65) to display sRGB, clipped to the display's range. Lab is taken relative to the sRGB
 * white so that L* = 100 is exactly display white. Matrix: IEC 61966-2-1.
 */
export function labToSrgb(lab: Lab): Rgb {
  const [x, y, z] = labToXyz(lab, SRGB_WHITE);
  return [
    encodeGamma(3.2404542 * x - 1.5371385 * y - 0.4985314 * z),
    encodeGamma(-0.969266 * x + 1.8760108 * y + 0.041556 * z),
    encodeGamma(0.0556434 * x - 0.2040259 * y + 1.0572252 * z),
  ];
}

/** A display channel, 0 to 1, in linear light (IEC 61966-2-1). */
export const linearChannel = (encoded: number): number =>
  encoded <= 0.04045 ? encoded / 12.92 : ((encoded + 0.055) / 1.055) ** 2.4;

/**
 * Display sRGB to CIELAB (D65) relative to the sRGB white: `labToSrgb` turned round. Matrix: IEC 61966-2-1.
 */
export function srgbToLab(rgb: Rgb): Lab {
  const [r, g, b] = [linearChannel(rgb[0]), linearChannel(rgb[1]), linearChannel(rgb[2])];
  return xyzToLab(
    [
      0.4124564 * r + 0.3575761 * g + 0.1804375 * b,
      0.2126729 * r + 0.7151522 * g + 0.072175 * b,
      0.0193339 * r + 0.119192 * g + 0.9503041 * b,
    ],
    SRGB_WHITE,
  );
}

/** CIELAB to '#rrggbb' for a swatch on screen. */
export function labToHex(lab: Lab): string {
  return (
    '#' +
    labToSrgb(lab)
      .map((c) =>
        Math.round(c * 255)
          .toString(16)
          .padStart(2, '0'),
      )
      .join('')
  );
}

/** Chroma C*ab. */
export function chromaOf(lab: Lab): number {
  return Math.hypot(lab[1], lab[2]);
}

/** Hue angle h_ab in degrees, 0 to 360; 0 for a neutral colour. */
export function hueOf(lab: Lab): number {
  const degrees = (Math.atan2(lab[2], lab[1]) * 180) / Math.PI;
  return degrees < 0 ? degrees + 360 : degrees;
}

/** A colour by lightness, chroma and hue in degrees. */
export function labOfHue(lightness: number, chroma: number, hueDegrees: number): Lab {
  const hue = (hueDegrees * Math.PI) / 180;
  return [lightness, chroma * Math.cos(hue), chroma * Math.sin(hue)];
}

/** The weighted mean of colours in CIELAB. Weights need not sum to one. Throws when nothing has weight. */
export function meanLab(parts: readonly { readonly lab: Lab; readonly weight: number }[]): Lab {
  let total = 0;
  let L = 0;
  let a = 0;
  let b = 0;
  for (const { lab, weight } of parts) {
    total += weight;
    L += weight * lab[0];
    a += weight * lab[1];
    b += weight * lab[2];
  }
  if (!(total > 0)) throw new RangeError('meanLab: at least one part needs a weight above 0');
  return [L / total, a / total, b / total];
}
