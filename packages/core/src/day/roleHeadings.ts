import { BULLET } from './eachOfSeveral';
import { roleTold } from './guestRoleWords';
import type { GuestRole } from './party';

type Heading = {
  readonly role: GuestRole;
  /** "Bridesmaids": of whoever follows; else of one. */ readonly ofSeveral: boolean;
  /** Written as nobody writes a person: with a colon, or of several. */ readonly plainly: boolean;
};

/** "BRIDE", "Bridesmaids:", "mothers": a role and nothing else, as a heading is written; else null. */
function headingOf(line: string): Heading | null {
  const plain = line.trim().replace(/^[#*_\s]+|[*_\s]+$/g, '');
  const told = plain.replace(/\s*(?:[x×]\s*\d{1,2}|\(\d{1,2}\))?\s*:?$/i, '');
  const role = roleTold(told);
  const ofSeveral = /s$/i.test(told);
  const plainly = ofSeveral || plain.endsWith(':');
  return role !== null && (plainly || told === told.toUpperCase()) ? { role, ofSeveral, plainly } : null;
}

/**
 * By line of a list whose people stand under headings, the role of the heading a line stands under, null for
 * none, and which lines are headings. A heading is followed by somebody who is no role. One of several holds
 * to the next, or to an empty line after somebody; one of one for one. A role in capitals alone is a heading
 * only in a list that begins with one: elsewhere it is somebody nobody has named.
 */
export function rolesUnderHeadings(lines: readonly string[]): readonly (GuestRole | 'heading' | null)[] {
  let under: Heading | null = null;
  let [somebody, byHeadings, begun] = [false, false, false];
  return lines.map((line, i) => {
    if (line.trim() === '') {
      if (somebody) under = null;
      return null;
    }
    const heading = headingOf(line);
    const next = lines.slice(i + 1).find((one) => one.trim() !== '');
    if (
      heading !== null &&
      (heading.plainly || byHeadings || !begun) &&
      next !== undefined &&
      headingOf(next) === null &&
      !beginsWithRole(next)
    ) {
      byHeadings ||= !begun;
      [under, somebody, begun] = [heading, false, true];
      return 'heading';
    }
    const role = under?.role ?? null;
    if (under && !under.ofSeveral) under = null;
    [somebody, begun] = [true, true];
    return role;
  });
}

/** A list of roles alone has no headings. */
const beginsWithRole = (line: string): boolean =>
  roleTold(
    line
      .replace(BULLET, '')
      .split(/[,;:|/(]|\s[-–—]\s/)[0]!
      .trim(),
  ) !== null;
