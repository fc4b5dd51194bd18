import { ribbon } from '../curve';
import type { Polyline } from '../point';
import { simplified, type Region } from '../region';

/** What a shape is filled with; the app's themes and the printed page give each a colour. */
export type InkFill =
  | 'ink'
  | 'skin'
  | 'shade'
  | 'hair'
  | 'sheen'
  | 'cloth'
  | 'lip'
  | 'eyeWhite'
  | 'iris'
  | 'pupil'
  | 'catchlight';

/** One filled shape of the drawing, in this face's mm, painted in the order given. */
export type Ink = {
  readonly part: string;
  readonly d: string;
  readonly fill: InkFill;
  readonly opacity: number;
};

/**
 * Closed outlines as SVG path data, rounded to `decimals` of a mm. Points after the first are
 * relative, which halves the text; differences are of rounded places, so nothing drifts.
 */
export function pathOf(region: Region, decimals = 1): string {
  const unit = 10 ** decimals;
  return region
    .map((polygon) => {
      let [px, py] = [0, 0];
      const steps: string[] = [];
      for (const [x, y] of polygon) {
        const [ix, iy] = [Math.round(x * unit), Math.round(y * unit)];
        if (steps.length > 0 && ix === px && iy === py) continue;
        steps.push(short((ix - px) / unit) + joined(short((iy - py) / unit)));
        [px, py] = [ix, iy];
      }
      return steps.length < 3
        ? ''
        : `M${steps[0]}l${steps.slice(1).reduce((text, step) => text + joined(step))}z`;
    })
    .join('');
}

/** A number ready to follow another: a minus sign separates, anything else needs a space. */
function joined(text: string): string {
  return text.startsWith('-') ? text : ` ${text}`;
}

/** A quotient of whole numbers by a power of ten is written in its own decimals: no rounding is needed. */
function short(value: number): string {
  const text = String(value);
  return text.startsWith('0.') ? text.slice(1) : text.startsWith('-0.') ? `-${text.slice(2)}` : text;
}

/** Nothing finer than this is seen on screen or paper, mm. */
const FINEST_MM = 0.04;

/** Outlines of the drawing as path data, with no more points than can be seen. */
export function inkPath(region: Region, decimals = 1): string {
  return pathOf(simplified(region, FINEST_MM), decimals);
}

/** A line as a filled stroke whose half-width follows `widths` evenly spaced along it, in mm. */
export function inked(
  part: string,
  line: Polyline,
  widths: readonly number[],
  opacity = 1,
  fill: InkFill = 'ink',
  decimals = 2,
): Ink {
  return { part, d: inkPath([ribbon(line, (t) => between(widths, t))], decimals), fill, opacity };
}

export function filled(part: string, region: Region, fill: InkFill, opacity = 1, decimals = 1): Ink {
  return { part, d: inkPath(region, decimals), fill, opacity };
}

/** The value a fraction t of the way through evenly spaced values. */
export function between(values: readonly number[], t: number): number {
  const at = Math.max(0, Math.min(1, t)) * (values.length - 1);
  const low = Math.min(values.length - 2, Math.floor(at));
  if (low < 0) return values[0] ?? 0;
  return values[low]! + (values[low + 1]! - values[low]!) * (at - low);
}
