import type { GuestRole } from './party';

/** One line of a pasted list, as far as it was understood. */
export type PastedGuest = {
  readonly name: string;
  readonly role: GuestRole;
  readonly readyBy: number | null;
  readonly faceMinutes: number | null;
  readonly hairMinutes: number | null;
};
export type PasteProblem = { readonly line: number; readonly text: string; readonly message: string };

const ROLES: Readonly<Record<string, GuestRole>> = {
  bride: 'star',
  groom: 'star',
  star: 'star',
  mother: 'close',
  father: 'close',
  close: 'close',
  sister: 'close',
  bridesmaid: 'attendant',
  attendant: 'attendant',
  guest: 'guest',
  child: 'child',
  girl: 'child',
  boy: 'child',
};
const TIME = /^(?:ready(?: by)? |by )?([01]?\d|2[0-3])[:.h]([0-5]\d)$/i;
const LENGTH = /^(face|make-?up|hair)?\s*(\d{1,3})?\s*(?:min(?:utes)?)?$/i;
const PARTS = /\s*[,;\t]\s*/;

/**
 * People out of a pasted list, one a line: a name, then in any order a role, a time to be ready by, and minutes
 * ("Ada Morrow, bride, 12:30, hair 50, face 60"). Lines that are not understood, and
 * people who are `onList` already, are named; none is dropped.
 */
export function guestsFromText(
  text: string,
  onList: readonly string[] = [],
): {
  readonly guests: PastedGuest[];
  readonly problems: PasteProblem[];
} {
  const guests: PastedGuest[] = [];
  const problems: PasteProblem[] = [];
  const seen = new Set<string>();
  const already = new Set(onList.map((one) => one.toLocaleLowerCase()));
  text.split(/\r?\n/).forEach((raw, index) => {
    const line = raw.trim().replace(/^[-*•\d.)\s]+(?=\p{L})/u, '');
    if (line === '') return;
    const say = (message: string): void => void problems.push({ line: index + 1, text: raw.trim(), message });
    const [name = '', ...parts] = line.split(PARTS).filter((part) => part !== '');
    if (!/\p{L}/u.test(name)) return say('Begin with a name.');
    if (name.length > 120) return say('A name has at most 120 letters.');
    if (seen.has(name.toLocaleLowerCase())) return say(`${name} is there twice.`);
    if (already.has(name.toLocaleLowerCase())) return say(`${name} is on the list already.`);
    let guest: PastedGuest = { name, role: 'guest', readyBy: null, faceMinutes: null, hairMinutes: null };
    for (const part of parts) {
      const time = TIME.exec(part);
      const length = LENGTH.exec(part);
      const role = ROLES[part.toLocaleLowerCase()];
      if (role) guest = { ...guest, role };
      else if (time) guest = { ...guest, readyBy: Number(time[1]) * 60 + Number(time[2]) };
      else if (length && (length[1] || length[2])) {
        const minutes = length[2] === undefined ? null : Number(length[2]);
        if (length[1]?.toLocaleLowerCase() === 'hair')
          guest = { ...guest, hairMinutes: minutes ?? USUAL_HAIR };
        else guest = { ...guest, faceMinutes: minutes };
      } else return say(`"${part}" is neither a role, a time as 11:30, nor minutes as "hair 40".`);
    }
    seen.add(name.toLocaleLowerCase());
    guests.push(guest);
  });
  return { guests, problems };
}

const USUAL_HAIR = 40;
