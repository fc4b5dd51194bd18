import type { SheetOptions } from './sheet';

/**
 * A text broken into lines no wider than `width`; the last is cut with an ellipsis where `most` lines are not
 * enough.
 */
export function wrapped(
  text: string,
  width: number,
  size: number,
  bold: boolean,
  measure: SheetOptions['measure'],
  most = 3,
): string[] {
  const lines: string[] = [];
  const fits = (part: string): boolean => measure(part, size, bold) <= width;
  for (const word of text.split(/\s+/).flatMap((whole) => broken(whole, fits))) {
    const last = lines[lines.length - 1];
    const joined = last === undefined ? word : `${last} ${word}`;
    if (last !== undefined && fits(joined)) lines[lines.length - 1] = joined;
    else lines.push(word);
  }
  if (lines.length <= most) return lines;
  let end = lines.slice(most - 1).join(' ');
  while (end.length > 1 && !fits(`${end}…`)) end = end.slice(0, -1);
  return [...lines.slice(0, most - 1), `${end.trimEnd()}…`];
}

/** A word in parts that fit; as it is where it does. */
function broken(word: string, fits: (part: string) => boolean): string[] {
  if (word === '') return [];
  if (fits(word)) return [word];
  const letters = [...word];
  let room = 1;
  while (room < letters.length && fits(letters.slice(0, room + 1).join(''))) room++;
  return [letters.slice(0, room).join(''), ...broken(letters.slice(room).join(''), fits)];
}
