import fc from 'fast-check';
import { guestsFromText, type PastedGuest } from '.';

// Whole lists as they come in messages: greetings, headings, lists by what is done, several in a line.
const at = (hour: number, minutes = 0): number => 60 * hour + minutes;
type Expected = Pick<PastedGuest, 'name'> & Partial<PastedGuest>;
const EMPTY = { role: 'guest', readyBy: null, faceMinutes: null, hairMinutes: null, notes: '' } as const;
const someone = (name: string, more: Partial<PastedGuest> = {}): Expected => ({ ...EMPTY, name, ...more });

const LISTS: Readonly<
  Record<string, readonly [text: string, guests: readonly Expected[], problems?: number]>
> = {
  'between a greeting and thanks': [
    `Hi Bia! Here's everyone for Saturday x
     Bride: Noor
     Bridesmaids x3: Cass, Ada, Bel
     Flower girls Pip (7) & Posy (5) - just gloss
     thanks so much!!`,
    [
      someone('Noor', { role: 'star' }),
      ...['Cass', 'Ada', 'Bel'].map((name) => someone(name, { role: 'attendant' })),
      someone('Pip', { role: 'child', notes: 'age 7. just gloss' }),
      someone('Posy', { role: 'child', notes: 'age 5. just gloss' }),
    ],
  ],
  'with initials right after the time': [
    `1. Noor Ashdown 11:30 - bride - H&M
     2. Ada 9.45 M
     3. Helen (mum) 10:45 H
     4. Granny Jo 11:00 M - can't do stairs`,
    [
      someone('Noor Ashdown', { role: 'star', readyBy: at(11, 30), hairMinutes: 40 }),
      someone('Ada', { readyBy: at(9, 45) }),
      someone('Helen', { role: 'close', readyBy: at(10, 45), hairMinutes: 40 }),
      someone('Jo', { role: 'close', readyBy: at(11), notes: "can't do stairs" }),
    ],
  ],
  'under headings': [
    `BRIDE
     Noor Ashdown

     Bridesmaids:
     Cass, 10:30
     Ada (MOH)

     Mothers
     Helen
     Ines`,
    [
      someone('Noor Ashdown', { role: 'star' }),
      someone('Cass', { role: 'attendant', readyBy: at(10, 30) }),
      someone('Ada', { role: 'attendant' }),
      someone('Helen', { role: 'close' }),
      someone('Ines', { role: 'close' }),
    ],
  ],
  'under headings in capitals, one of one for one': [
    `Hi Bia!
     BRIDE
     Noor
     MUM
     Helen
     Cass
     BRIDESMAIDS
     Ada`,
    [
      someone('Noor', { role: 'star' }),
      someone('Helen', { role: 'close' }),
      someone('Cass'),
      someone('Ada', { role: 'attendant' }),
    ],
  ],
  'where a role in capitals is somebody nobody has named': [
    `Noor, bride
     MUM
     Cass`,
    [someone('Noor', { role: 'star' }), someone('MUM', { role: 'close' }), someone('Cass')],
  ],
  'of roles alone, which are no headings': [
    `- bride
     - mum
     - mother in law`,
    [
      someone('bride', { role: 'star' }),
      someone('mum', { role: 'close' }),
      someone('mother in law', { role: 'close' }),
    ],
  ],
  'by what is done': [
    `Makeup: Noor, Cass, Ada
     Hair x2: Noor, Helen`,
    [
      someone('Noor', { hairMinutes: 40 }),
      someone('Cass'),
      someone('Ada'),
      someone('Helen', { hairMinutes: 40, faceMinutes: 0 }),
    ],
  ],
  'by role first, then by what is done': [
    `Noor Ashdown (bride)
     Cass Lindqvist (MOH)
     Helen Orr (mum)
     Hair & makeup: Noor, Cass
     Makeup only: Helen`,
    [
      someone('Noor Ashdown', { role: 'star', hairMinutes: 40 }),
      someone('Cass Lindqvist', { role: 'attendant', hairMinutes: 40 }),
      someone('Helen Orr', { role: 'close' }),
    ],
  ],
  'by what is done, where only hair is told': [
    `Ada, 10:00
     Bel Orr, face 20
     - Hair: Ada, Bel, Cy`,
    [
      someone('Ada', { readyBy: at(10), hairMinutes: 40 }),
      someone('Bel Orr', { faceMinutes: 20, hairMinutes: 40 }),
      someone('Cy', { hairMinutes: 40, faceMinutes: 0 }),
    ],
  ],
  'with numbers and no points': [
    `1 Noor bride
     2 Ada 10:00
     3 Bel`,
    [someone('Noor', { role: 'star' }), someone('Ada', { readyBy: at(10) }), someone('Bel')],
  ],
  'in one line, each with brackets or the next of several': [
    'Noor (bride), Cass (moh), Ada, Bel & Coco (bridesmaids), Helen (mum)',
    [
      someone('Noor', { role: 'star' }),
      ...['Cass', 'Ada', 'Bel', 'Coco'].map((name) => someone(name, { role: 'attendant' })),
      someone('Helen', { role: 'close' }),
    ],
  ],
  counted: [
    `2 bridesmaids – Cass & Ada – 45 mins each
     * 2 x mums (Helen & Ines) 35 min each
     Kids: Pip 6, Posy 9
     Girls: Tess, Jess`,
    [
      ...['Cass', 'Ada'].map((name) => someone(name, { role: 'attendant', faceMinutes: 45 })),
      ...['Helen', 'Ines'].map((name) => someone(name, { role: 'close', faceMinutes: 35 })),
      someone('Pip', { role: 'child', notes: 'age 6' }),
      someone('Posy', { role: 'child', notes: 'age 9' }),
      someone('Tess'),
      someone('Jess'),
    ],
  ],
  'each with a time in one line': [
    'Jess 10, Tess 10.30, Bess at 11.15',
    [
      someone('Jess', { readyBy: at(10) }),
      someone('Tess', { readyBy: at(10, 30) }),
      someone('Bess', { readyBy: at(11, 15) }),
    ],
  ],
  'typed in haste': [
    `noor 1230
     cass 1030
     Ada, 0945`,
    [
      someone('noor', { readyBy: at(12, 30) }),
      someone('cass', { readyBy: at(10, 30) }),
      someone('Ada', { readyBy: at(9, 45) }),
    ],
  ],
  'from one time to another': [
    `08.00 - 08.45: Cass
     Noor: 12 - 1pm
     Bel: 11 - 12
     Ada (10.15 to 11)`,
    [
      someone('Cass', { readyBy: at(8, 45), notes: '08.00 - 08.45' }),
      someone('Noor', { readyBy: at(13), notes: '12 - 1pm' }),
      someone('Bel', { readyBy: at(12), notes: '11 - 12' }),
      someone('Ada', { readyBy: at(11), notes: '10.15 to 11' }),
    ],
  ],
  'of people there for what they do': [
    `Speaker 1: Rosa Prado (stage 19:15)
     Host: Vera - needs to be done first, 17:30
     Model 2 - Tila - 16:30`,
    [
      someone('Rosa Prado', { readyBy: at(19, 15), notes: 'Speaker 1. stage 19:15' }),
      someone('Vera', { readyBy: at(17, 30), notes: 'Host. needs to be done first' }),
      someone('Tila', { readyBy: at(16, 30), notes: 'Model 2' }),
    ],
  ],
  'with how they are spoken of': [
    `Mia (she/her), groom's sister, 10:30
     Sam (they / them) - best person - 11:00`,
    [
      someone('Mia', { role: 'close', readyBy: at(10, 30), notes: 'she/her' }),
      someone('Sam', { role: 'attendant', readyBy: at(11), notes: 'they/them' }),
    ],
  ],
  'drawn as a table with strokes': [
    `| Name | What | Time | Notes |
     |------|:----:|------|-------|
     | Noor | hair + makeup | 12:00 | bride |
     | Cass | makeup | 10:00 | vegan products only |`.replaceAll('     |', '|'),
    [
      someone('Noor', { role: 'star', readyBy: at(12), hairMinutes: 40 }),
      someone('Cass', { readyBy: at(10), notes: 'vegan products only' }),
    ],
  ],
  'with words of a time where a name would stand': [
    'Bride – 2pm ceremony so ready 1pm – Noor A.',
    [someone('Noor A.', { role: 'star', readyBy: at(13), notes: 'ceremony so' })],
  ],
  'whose end is no person': [
    `Noor, bride
     See you Saturday, can't wait!
     Lots of love, Ines x
     Kind regards`,
    [someone('Noor', { role: 'star' })],
  ],
  'with what nobody can know': [
    `Total 6 people:
     ada 11
     3 bridesmaids
     hope you're well! so it's me, my mum and 3 bridesmaids
     Mum (Jan) - 11`,
    [],
    5,
  ],
};

test.each(Object.entries(LISTS))('a list %s', (_, [text, guests, problems = 0]) => {
  const read = guestsFromText(text);
  expect(read.problems).toHaveLength(problems);
  expect(read.guests).toEqual(guests);
});

test.each([
  // Names and rooms that only look like what is read now.
  ['Love Quinn, bride', 'Love Quinn'],
  ['Ada Morrow, room 1230', 'Ada Morrow'],
  ['Ada Morrow 10:00, Room 12', 'Ada Morrow'],
  ['Ada Morrow 10:00, Hair 40', 'Ada Morrow'],
  ['Ada Morrow 10:00, room 12', 'Ada Morrow'],
  ['Model 7', 'Model 7'],
  ['Bridesmaid 2 - 10:30', 'Bridesmaid 2'],
  ['Reagan Singer', 'Reagan Singer'],
  ['Dear Abby, guest', 'Dear Abby'],
])('“%s” is one, %s', (line, name) =>
  expect(guestsFromText(`Noor, bride\n${line}`).guests.map((one) => one.name)).toEqual(['Noor', name]),
);

test.each(['Hair: Yes', 'Makeup: none', 'Hair: TBC', 'Make-up - all'])('“%s” names nobody', (line) =>
  expect(guestsFromText(`Noor, bride\n${line}`).guests.map(({ name }) => name)).not.toContain(
    line.split(/: | - /)[1],
  ),
);

test('nobody of a plain list is lost, whatever is said before and after it', () => {
  const names = fc.uniqueArray(fc.constantFrom('Ada', 'Bel', 'Cy', 'Di Orr', 'Eve', 'Fay Lind'), {
    minLength: 1,
  });
  const talk = fc.constantFrom('', 'Hi!', 'Hello Bia', 'Good morning', 'hey lovely,');
  const end = fc.constantFrom(
    '',
    'thanks x',
    'Thank you so much!',
    'Cheers',
    'love, Noor',
    'xx',
    'Speak soon',
  );
  fc.assert(
    fc.property(names, talk, end, fc.boolean(), (list, before, after, timed) => {
      const lines = list.map((name, i) => (timed ? `${name}, ${9 + i}:15` : name));
      const { guests, problems } = guestsFromText([before, ...lines, after].join('\n'));
      expect(problems).toEqual([]);
      expect(guests.map(({ name, readyBy }) => [name, readyBy])).toEqual(
        list.map((name, i) => [name, timed ? at(9 + i, 15) : null]),
      );
    }),
  );
});
