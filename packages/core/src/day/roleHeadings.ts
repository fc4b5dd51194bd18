import { roleTold } from './guestRoleWords';
import type { GuestRole } from './party';

/** "BRIDE", "Bridesmaids:", "mothers": a role and nothing else, as a heading is written. */
function headingOf(line: string): GuestRole | null {
  const plain = line.trim().replace(/^[#*_\s]+|[*_\s]+$/g, '');
  const told = plain.replace(/\s*(?:[x×]\s*\d{1,2}|\(\d{1,2}\))?\s*:?$/i, '');
  const written = plain.endsWith(':') || /s$/i.test(told) || (told === told.toUpperCase() && told.length > 3);
  return written ? roleTold(told) : null;
}

/**
 * By line of a list whose people stand under headings, the role of the heading a line stands under, null for
 * none, and which lines are headings. A heading is followed by somebody who is no role; it ends with an empty
 * line after somebody, or with the next.
 */
export function rolesUnderHeadings(lines: readonly string[]): readonly (GuestRole | 'heading' | null)[] {
  let role: GuestRole | null = null;
  let somebody = false;
  return lines.map((line, i) => {
    if (line.trim() === '') {
      if (somebody) role = null;
      return null;
    }
    const heading = headingOf(line);
    const next = lines.slice(i + 1).find((one) => one.trim() !== '');
    if (heading !== null && next !== undefined && headingOf(next) === null && !beginsWithRole(next)) {
      role = heading;
      somebody = false;
      return 'heading';
    }
    somebody = true;
    return role;
  });
}

/** A list of roles alone has no headings. */
const beginsWithRole = (line: string): boolean =>
  roleTold(
    line
      .replace(/^\s*(?:[-*•–]|\d{1,2}[.)])\s*/, '')
      .split(/[,;:|/(]|\s[-–—]\s/)[0]!
      .trim(),
  ) !== null;
