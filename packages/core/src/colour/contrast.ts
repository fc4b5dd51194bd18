import { linearChannel, type Rgb } from './lab';

/** Relative luminance of a display colour, 0 to 1 (WCAG 2.2). */
export function relativeLuminance([r, g, b]: Rgb): number {
  return 0.2126 * linearChannel(r) + 0.7152 * linearChannel(g) + 0.0722 * linearChannel(b);
}

/** How far two display colours stand apart, 1 to 21 (WCAG 2.2, contrast ratio). */
export function contrastRatio(one: Rgb, other: Rgb): number {
  const [a, b] = [relativeLuminance(one), relativeLuminance(other)];
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}

/** '#rrggbb' as a display colour, each channel 0 to 1. */
export function hexToSrgb(hex: string): Rgb {
  const at = (i: number): number => parseInt(hex.slice(i, i + 2), 16) / 255;
  return [at(1), at(3), at(5)];
}

/** One display colour laid over another at an opacity of 0 to 1, as a screen blends them. */
export function over(top: Rgb, ground: Rgb, opacity: number): Rgb {
  const at = (i: 0 | 1 | 2): number => ground[i] + (top[i] - ground[i]) * opacity;
  return [at(0), at(1), at(2)];
}

/** Of some inks, '#rrggbb', the one that stands out most where it stands out least on these grounds. */
export function clearestInk(inks: readonly string[], grounds: readonly Rgb[]): string {
  const least = (ink: string): number =>
    Math.min(...grounds.map((ground) => contrastRatio(hexToSrgb(ink), ground)));
  return inks.reduce((best, ink) => (least(ink) > least(best) ? ink : best));
}
