import { labToSrgb, type Lab } from '../colour';

/**
 * Named colours as a GIMP palette: eight-bit display colours, so close shades may fall together. Control
 * characters in names become spaces.
 */
export function writeGimpPalette(
  name: string,
  colours: readonly { readonly name: string; readonly lab: Lab }[],
  columns = 0,
): string {
  const oneLine = (text: string): string => text.replace(/[\u0000-\u001f]+/g, ' ').trim();
  const rows = colours.map(({ name: colour, lab }) => {
    const channels = labToSrgb(lab).map((c) => String(Math.round(c * 255)).padStart(3));
    return `${channels.join(' ')}\t${oneLine(colour)}`;
  });
  return ['GIMP Palette', `Name: ${oneLine(name)}`, `Columns: ${columns}`, '#', ...rows, ''].join('\n');
}
