import fc from 'fast-check';
import { GUEST_ROLES, guestsFromText, newGuest, newPlan, type PastedGuest } from '.';

// Lists as they are sent in messages and mails, by people who never saw ours.
const only = (line: string): PastedGuest | string => {
  const { guests, problems } = guestsFromText(line);
  expect(guests.length + problems.length).toBe(1);
  return guests[0] ?? problems[0]!.message;
};
type Told = readonly [
  line: string,
  name: string,
  role?: PastedGuest['role'],
  readyBy?: number | null,
  face?: number | null,
  hair?: number | null,
  notes?: string,
];
const at = (hour: number, minutes = 0): number => 60 * hour + minutes;

const LINES: readonly Told[] = [
  ['Ada Morrow', 'Ada Morrow'],
  // Who it is, however it is divided off.
  ['Ada Morrow, bride', 'Ada Morrow', 'star'],
  ['Ada Morrow - bride', 'Ada Morrow', 'star'],
  ['Ada Morrow – the bride', 'Ada Morrow', 'star'],
  ['Ada Morrow (Bride)', 'Ada Morrow', 'star'],
  ['Bride: Ada Morrow', 'Ada Morrow', 'star'],
  ['BRIDE – Ada Morrow', 'Ada Morrow', 'star'],
  ['bride Ada Morrow', 'Ada Morrow', 'star'],
  ['Ada Morrow bride', 'Ada Morrow', 'star'],
  ['Bride-to-be: Ada', 'Ada', 'star'],
  ['Groom: Idris', 'Idris', 'star'],
  ['Mother of the bride: Helen Orr', 'Helen Orr', 'close'],
  ['Helen Orr (mother of the groom)', 'Helen Orr', 'close'],
  ['Mum of the bride, Helen', 'Helen', 'close'],
  ['Bride’s mum, Helen', 'Helen', 'close'],
  ["the groom's sister - Mary", 'Mary', 'close'],
  ['MOB Helen', 'Helen', 'close'],
  ['Helen, MOG', 'Helen', 'close'],
  ['Granny, 11:30', 'Granny', 'close', at(11, 30)],
  ['Mother-in-law: Ines', 'Ines', 'close'],
  ['Bridesmaid: Cy', 'Cy', 'attendant'],
  ['Cy (bridesmaids)', 'Cy', 'attendant'],
  ['Maid of honour Jess', 'Jess', 'attendant'],
  ['Jess - matron of honor', 'Jess', 'attendant'],
  ['MOH: Jess', 'Jess', 'attendant'],
  ['best man - Tom', 'Tom', 'attendant'],
  ['Flower girl Poppy', 'Poppy', 'child'],
  ['Poppy, flowergirl', 'Poppy', 'child'],
  ['Page boy: Finn', 'Finn', 'child'],
  ['Poppy (6)', 'Poppy', 'child', null, null, null, 'age 6'],
  ['Poppy, 6 yrs', 'Poppy', 'child', null, null, null, 'age 6'],
  ['Poppy aged 6', 'Poppy', 'child', null, null, null, 'age 6'],
  ['Poppy, 12 years old', 'Poppy', 'child', null, null, null, 'age 12'],
  ['Poppy (13)', 'Poppy', 'guest', null, null, null, 'age 13'],
  ['Poppy, 6 yrs, bridesmaid', 'Poppy', 'child', null, null, null, 'age 6'],
  ['Poppy (9), guest', 'Poppy', 'child', null, null, null, 'age 9'],
  ['Posy (7), birthday girl', 'Posy', 'star', null, null, null, 'age 7'],
  ['Bridesmaid 2, 10:15', 'Bridesmaid 2', 'attendant', at(10, 15)],
  ['Bride', 'Bride', 'star'],
  // Names that only look like it.
  ['Grace Guest', 'Grace Guest', 'guest'],
  ['Star Jones', 'Star Jones', 'guest'],
  ['Will Friend', 'Will Friend', 'guest'],
  ['Ola Boy, groom', 'Ola Boy', 'star'],
  ['Anne-Marie O’Brien', 'Anne-Marie O’Brien', 'guest'],
  ['Hairi Makepeace', 'Hairi Makepeace', 'guest'],
  ['Faith Hallmark-Byrne', 'Faith Hallmark-Byrne', 'guest'],
  ['Ada Noonan', 'Ada Noonan', 'guest'],
  ['May Minns', 'May Minns', 'guest'],
  // When.
  ['Ada, 11.30am', 'Ada', 'guest', at(11, 30)],
  ['Ada 9:05', 'Ada', 'guest', at(9, 5)],
  ['Ada, 9h05', 'Ada', 'guest', at(9, 5)],
  ['Ada, 11am', 'Ada', 'guest', at(11)],
  ['Ada, 12pm', 'Ada', 'guest', at(12)],
  ['Ada, noon', 'Ada', 'guest', at(12)],
  ['Ada, ready by midday', 'Ada', 'guest', at(12)],
  ['Ada, 1 pm', 'Ada', 'guest', at(13)],
  ['Ada, 12.30 p.m.', 'Ada', 'guest', at(12, 30)],
  ['Ada, ready 1:30', 'Ada', 'guest', at(13, 30)],
  ['Ada, 4:59', 'Ada', 'guest', at(16, 59)],
  ['Ada, 5:00', 'Ada', 'guest', at(5)],
  ['Ada, 01:30', 'Ada', 'guest', at(1, 30)],
  ['Ada, 13:30', 'Ada', 'guest', at(13, 30)],
  ['Ada, 23:59', 'Ada', 'guest', at(23, 59)],
  ['Ada @ 10:00', 'Ada', 'guest', at(10)],
  ['12.30 Ada Morrow bride', 'Ada Morrow', 'star', at(12, 30)],
  ['10:00 – Ada – bride', 'Ada', 'star', at(10)],
  // What, and for how long.
  ['Ada, hair', 'Ada', 'guest', null, null, 40],
  ['Ada (hair and make-up)', 'Ada', 'guest', null, null, 40],
  ['Ada, makeup & hair', 'Ada', 'guest', null, null, 40],
  ['Ada H+M 9:00', 'Ada', 'guest', at(9), null, 40],
  ['Ada, hair only', 'Ada', 'guest', null, 0, 40],
  ['Ada - hair 30 - no makeup', 'Ada', 'guest', null, 0, 30],
  ['Ada, make-up only', 'Ada', 'guest'],
  ['Ada, makeup', 'Ada', 'guest'],
  ['Ada, no hair', 'Ada', 'guest'],
  ['Ada, hair 50, face 60', 'Ada', 'guest', null, 60, 50],
  ['Ada, hair 50 mins, make up: 60 min', 'Ada', 'guest', null, 60, 50],
  ['Ada, 45 minutes hair', 'Ada', 'guest', null, null, 45],
  ['Ada, 45m', 'Ada', 'guest', null, 45],
  ['Ada, 1h', 'Ada', 'guest', null, 60],
  ['Ada, 1 hr 15 mins hair', 'Ada', 'guest', null, null, 75],
  ['Ada, face 1h15, 10:30', 'Ada', 'guest', at(10, 30), 75],
  ['Ada, hair 12:30', 'Ada', 'guest', at(12, 30), null, 40],
  ['Ada Morrow\tbride\t12:30\t60', 'Ada Morrow', 'star', at(12, 30), 60],
  ['Ada mu', 'Ada'],
  ['Ada hair', 'Ada', 'guest', null, null, 40],
  ['Ada makeup', 'Ada'],
  ['Ada H&MU', 'Ada', 'guest', null, null, 40],
  // Mu is a name, and written so it is nobody’s make-up.
  ['Chen Mu, bride', 'Chen Mu', 'star'],
  ['Mu', 'Mu'],
  ['Mu, mu', 'Mu'],
  ['Chen Mu 45 min', 'Chen Mu', 'guest', null, 45],
  ['Chen MU 45', 'Chen', 'guest', null, 45],
  ['Cass   hair & mu', 'Cass', 'guest', null, null, 40],
  // What else is said of them.
  ['Ada, sometime', 'Ada', 'guest', null, null, null, 'sometime'],
  ['Ada, bride, allergic to latex', 'Ada', 'star', null, null, null, 'allergic to latex'],
  ['Pip (9) hair only, latex allergy', 'Pip', 'child', null, 0, 40, 'age 9. latex allergy'],
  ['Groom touch up 11:45', 'Groom', 'star', at(11, 45), null, null, 'touch up'],
  ['Ada airbrush', 'Ada', 'guest', null, null, null, 'airbrush'],
  [
    'Mum: Wilma Ash (makeup only, needs glasses, 45 mins)',
    'Wilma Ash',
    'close',
    null,
    45,
    null,
    'needs glasses',
  ],
  ['Bride - Noor Ash, first photos 12.30', 'Noor Ash', 'star', at(12, 30), null, null, 'first photos 12.30'],
  // A time that says what it is for: the words stay whole; when somebody comes they are not ready.
  ['Ada, leaves 11.45 for the church', 'Ada', 'guest', at(11, 45), null, null, 'leaves 11.45 for the church'],
  ['Ada leaves 11.45', 'Ada', 'guest', at(11, 45), null, null, 'leaves 11.45'],
  ['Eric Church 10:00', 'Eric Church', 'guest', at(10)],
  ['Ada, ready by 1pm for photos', 'Ada', 'guest', at(13), null, null, 'ready by 1pm for photos'],
  ['Ada, arrives at 9.00', 'Ada', 'guest', null, null, null, 'arrives at 9.00'],
  ['Ada, there from 9:00, ready by 12:00', 'Ada', 'guest', at(12), null, null, 'there from 9:00'],
  ['Ada, 10:15, free from 8', 'Ada', 'guest', at(10, 15), null, null, 'free from 8'],
  [
    'Ada - photos from 13.00, ceremony 2.30pm',
    'Ada',
    'guest',
    at(13),
    null,
    null,
    'photos from 13.00. ceremony 2.30pm',
  ],
  ['Ada, 11:30, until 14:00', 'Ada', 'guest', at(11, 30), null, null, 'until 14:00'],
  // Round numbers are minutes, but of a grandmother; an age is said to be one.
  ['Edith, age 82, wheelchair', 'Edith', 'guest', null, null, null, 'age 82. wheelchair'],
  ['Ada, 60', 'Ada', 'guest', null, 60],
  ['Flower girl - Pip, 6', 'Pip', 'child', null, null, null, 'age 6'],
  ['Pip, 6, flower girl', 'Pip', 'child', null, null, null, 'age 6'],
  ['Pip, flower girl, 12', 'Pip', 'child', null, null, null, 'age 12'],
  // From so many years on it is none of a child's.
  ['Pip, flower girl, 15', 'Pip', 'child', null, 15],
  // From one time to another: ready at its end. An hour alone, where the word before it says so.
  ['Cass - 9.00-10.00', 'Cass', 'guest', at(10), null, null, '9.00-10.00'],
  ['Ada, 10:00 to 11:00', 'Ada', 'guest', at(11), null, null, '10:00 to 11:00'],
  ['Bel 9-10am', 'Bel', 'guest', at(10), null, null, '9-10am'],
  ['Bel, 11am - 12.30pm', 'Bel', 'guest', at(12, 30), null, null, '11am - 12.30pm'],
  ['Mum - ready for 11', 'Mum', 'close', at(11)],
  ['Ada, done by 2 please', 'Ada', 'guest', at(14)],
  ['Ada, ready 10', 'Ada', 'guest', at(10)],
  ['Noor - ready for 12, photos at 12.30', 'Noor', 'guest', at(12), null, null, 'photos at 12.30'],
  ['Eva 10:30 – needs to leave by 11', 'Eva', 'guest', at(10, 30), null, null, 'needs to leave by 11'],
  ['Ada, makeup for 2 people', 'Ada', 'guest', null, null, null, 'makeup for 2 people'],
  // Lengths as they are said, letters for what is done, two parts in one person.
  ['Ola - half an hour', 'Ola', 'guest', null, 30],
  ['Nia - 1/2 hour', 'Nia', 'guest', null, 30],
  ['Ada, ½ h', 'Ada', 'guest', null, 30],
  ['Ada, an hour and a half', 'Ada', 'guest', null, 90],
  ['Ada, three quarters of an hour', 'Ada', 'guest', null, 45],
  ['Ada, a quarter of an hour', 'Ada', 'guest', null, 15],
  ['Ada, an hour', 'Ada', 'guest', null, 60],
  ['Ada (BM) M only', 'Ada', 'attendant'],
  ['Ada - H only', 'Ada', 'guest', null, 0, 40],
  ['Ada (H)', 'Ada', 'guest', null, null, 40],
  ['Jo - groom’s mum - M - arriving 10am', 'Jo', 'close', null, null, null, 'arriving 10am'],
  ['Uma - bridesmaid (sister of bride)', 'Uma', 'attendant', null, null, null, 'sister of bride'],
  ['Xan: MC', 'Xan', 'guest', null, null, null, 'MC'],
  ['Wilma (wants natural)', 'Wilma', 'guest', null, null, null, 'wants natural'],
  ['Pia - full glam', 'Pia', 'guest', null, null, null, 'full glam'],
  ['Mum full glam', 'Mum', 'close', null, null, null, 'full glam'],
  ['Ada, no lashes please; vegan', 'Ada', 'guest', null, null, null, 'no lashes please. vegan'],
  // A number to call is neither minutes nor a name.
  ['Groom’s sister Jun 07700 900123 mu', 'Jun', 'close', null, null, null, '07700 900123'],
  ['Ada, +351 912 345 678, 10:00', 'Ada', 'guest', at(10), null, null, '+351 912 345 678'],
  ['Ada 45 10:00', 'Ada 45', 'guest', at(10)],
  // Bullets and numbers of a list.
  ['1. Ada, bride', 'Ada', 'star'],
  ['12) Ada', 'Ada', 'guest'],
  ['3.Ada', 'Ada', 'guest'],
  ['• Ada', 'Ada', 'guest'],
  ['* Ada', 'Ada', 'guest'],
  ['- Ada – bride', 'Ada', 'star'],
];
test.each(LINES.map((told) => [told[0], told] as const))('%s', (line, told) => {
  const [, name, role = 'guest', readyBy = null, faceMinutes = null, hairMinutes = null, notes = ''] = told;
  expect(only(line)).toEqual({ name, role, readyBy, faceMinutes, hairMinutes, notes });
});

test.each([
  // A second name is not guessed to be the first of it.
  ['Brideson, Ada, bride', /^"Ada" is neither/],
  ['Ada, Bo', /^"Bo" is neither a role/],
  ['Ada, bride, Bo Lund', /^"Bo Lund" is neither/],
  ['Ada, 25:00', /^"25:00" is neither/],
  ['Ada, 10:60', /^"10:60" is neither/],
  ['Ada, 13pm', /^"13pm" is neither/],
  ['Ada, 10:00, 11:00', /two times/],
  ['Ada, 10:00-11:00, 12:00', /two times/],
  ['Jo x2', /^"Jo x2" may be more than one/],
  ['the two grandmas', /may be more than one/],
  ['2x bridesmaids', /may be more than one/],
  ['Hana & Ivy - twins, 4', /^"Hana & Ivy" may be two people/],
  ['Uma, bridesmaid, bride', /are two roles/],
  ['Ada, bride, mother', /^"bride" and "mother" are two roles/],
  ['— , bride', /^Begin with a name/],
  // What is done is nobody's name; two people are two lines; a sentence is none.
  ['Ada & Bo', /^"Ada & Bo" may be two people/],
  ['Ada and Bo, makeup', /may be two people/],
  ['Ada, Bo and Cy', /^"Bo and Cy" may be two people/],
  ['Ada, 10:00, until 11:00, 12:00', /two times/],
  ['Edith, 82', /^"82" may be an age or minutes: write "age 82" or "82 min"/],
  ['Edith, 0', /^"0" may be an age/],
  ['Edith, 4', /^"4" may be an age/],
  ['Edith, 7', /^"7" may be a time, an age or minutes: write "7:00", "age 7" or "7 min"/],
  ['Edith, 12', /^"12" may be a time/],
  ['Edith, 13', /^"13" may be an age/],
  ['edith 5', /^"5" may be a time or minutes/],
  ['edith 60', /^"60" may be a time or minutes/],
  ['Gran (Edith), 80, makeup', /^"80" may be an age/],
  ['Lucy + Kate 10:00', /may be two people/],
  ['We need to be ready by 1pm.', /^"We need to be" reads as no name/],
  ['12:30', /^Begin with a name/],
  ['45', /^Begin with a name/],
  [`${'a'.repeat(121)}, bride`, /at most 120 letters/],
  [`Ada, ${'said '.repeat(201)}`, /^Notes have at most 1000 letters/],
])('%s is told, not guessed', (line, words) => expect(only(line)).toMatch(words));

const NAME = fc
  .tuple(
    fc.constantFrom('Ada', 'Renée', 'Siobhán', 'Örn', 'Mary-Lou', 'Xi'),
    fc.constantFrom(
      'Morrow',
      'O’Hara',
      'de Witt',
      'Bridewell',
      'Hairston',
      'Minster',
      'Atkins',
      'Byrd',
      'Guest',
    ),
  )
  .map((both) => both.join(' '));
test.each([
  ['Vera van der Berg', 'Vera van der Berg'],
  ['Zoe de la Cruz y Vega', 'Zoe de la Cruz y Vega'],
  ['ada maria morrow', 'ada maria morrow'],
  ['Andy Orr', 'Andy Orr'],
  ['Trial Ada', 'Trial Ada'],
])('%s is one name', (line, name) => expect(only(line)).toMatchObject({ name, role: 'guest' }));

describe('a table with a header', () => {
  const told = (text: string) => {
    const { guests, problems } = guestsFromText(text);
    return [
      ...guests.map((one) => [one.name, one.role, one.readyBy, one.faceMinutes, one.hairMinutes]),
      ...problems.map(({ line, message }) => [line, message]),
    ];
  };
  const rows = [
    ['Ada', 'Bride', '13:00', '60', '45'],
    ['Helen', 'Mother of the bride', '12:15', '45', ''],
    ['Lucy', 'Bridesmaid', '11:30', '', '40'],
    ['Poppy', 'Flower girl', '', 'yes', '-'],
    ['Bo', '', '', '', ''],
  ];
  const people = [
    ['Ada', 'star', at(13), 60, 45],
    ['Helen', 'close', at(12, 15), 45, null],
    ['Lucy', 'attendant', at(11, 30), 0, 40],
    ['Poppy', 'child', null, null, null],
    ['Bo', 'guest', null, null, null],
  ];

  test.each([',', ';', '\t'])('by %j: each column is what its header says, an empty cell nothing', (by) => {
    const text = [['Name', 'Role', 'Ready by', 'Make-up (min)', 'Hair'], ...rows].map((row) => row.join(by));
    expect(told(text.join('\n'))).toEqual(people);
  });

  test('in any order; a column nobody reads becomes a note, and its cells do no harm', () => {
    const text = rows.map(([name, role, ready, face, hair]) =>
      [hair, '+351 900', name, face, ready, role].join(';'),
    );
    const table = ['Hair;Phone;Guest;Makeup;Time;Role', ...text].join('\n');
    expect(told(table)).toEqual(people);
    expect(guestsFromText(table).guests.map(({ notes }) => notes)).toEqual(
      people.map(() => 'Phone: +351 900'),
    );
    const said = 'Name,Hair,Allergies,\nAda,yes,latex,late\nBo,yes,,\nCy,40 min,"nuts, soy",';
    expect(guestsFromText(said).guests.map(({ notes }) => notes)).toEqual([
      'Allergies: latex. late',
      '',
      'Allergies: nuts, soy',
    ]);
  });

  test('a column of what is done is read as it would be on a line', () => {
    const table =
      'Name,Service,Ready by\nAda,Hair & makeup,10:00\nBo,makeup,11:00\nCy,hair only,\nDi,bridal package,';
    expect(told(table)).toEqual([
      ['Ada', 'guest', at(10), null, 40],
      ['Bo', 'guest', at(11), null, null],
      ['Cy', 'guest', null, 0, 40],
      ['Di', 'guest', null, null, null],
    ]);
    expect(guestsFromText(table).guests.map(({ notes }) => notes)).toEqual(['', '', '', 'bridal package']);
  });

  test('N is no, an arrival is a note, and a note that is a part somebody plays is read as one', () => {
    const table =
      'Name\tHair\tMakeup\tArrival\tNotes\nNoor\tY\tY\t8:00\tbride\nBo\tN\tY\t9:15\tsensitive eyes';
    expect(told(table)).toEqual([
      ['Noor', 'star', null, null, 40],
      ['Bo', 'guest', null, null, null],
    ]);
    expect(guestsFromText(table).guests.map(({ notes }) => notes)).toEqual([
      'Arrival: 8:00',
      'Arrival: 9:15. sensitive eyes',
    ]);
  });

  test('a row that is wrong is told by its line; quotation marks are no part of a name', () => {
    expect(told('\n"Name";"Time"\n"Ada";"25:00"\n"Bo";"10:00"')).toEqual([
      ['Bo', 'guest', at(10), null, null],
      [3, '"25:00" is neither a role, a time as 11:30, nor minutes as "hair 40".'],
    ]);
  });

  test('a comma within quotation marks parts nothing; a family name first is turned round', () => {
    expect(told('Name,Role\n"Orr, Helen","Mother of the bride"\n\n"Ada"\n')).toEqual([
      ['Helen Orr', 'close', null, null, null],
      ['Ada', 'guest', null, null, null],
    ]);
  });

  test('one known word is no header: the line is somebody', () => {
    expect(told('Guest Orr, bride')).toEqual([['Guest Orr', 'star', null, null, null]]);
    expect(told('Ada, hair, 10:00')).toEqual([['Ada', 'guest', at(10), null, 40]]);
  });
});

const DIVIDED = fc.constantFrom(', ', ' - ', ' – ', '; ', '\t', ' | ');

test('in any order and however divided, every part of a line is read and none changes another', () => {
  const role = fc.constantFrom(
    ['bride', 'star'],
    ['mother of the bride', 'close'],
    ['bridesmaid', 'attendant'],
    ['guest', 'guest'],
    ['child', 'child'],
  );
  const time = fc.integer({ min: at(5), max: at(23, 59) });
  const length = fc.integer({ min: 5, max: 180 });
  fc.assert(
    fc.property(
      NAME,
      role,
      time,
      length,
      length,
      DIVIDED,
      fc.nat(),
      (name, [words, means], minute, face, hair, between, turn) => {
        const clock = `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;
        const rest = [words!, clock, `face ${face}`, `hair ${hair} min`];
        const turned = rest.map((_, i) => rest[(i + turn) % rest.length]!);
        expect(only([name, ...turned].join(between))).toEqual({
          name,
          role: means,
          readyBy: minute,
          faceMinutes: face,
          hairMinutes: hair,
          notes: '',
        });
      },
    ),
    { seed: 5, numRuns: 400 },
  );
});

test('a part that is not understood is never dropped: it is a note', () => {
  const odd = fc.stringMatching(/^[b-df-hj-np-tv-xz]{4,9}( [b-df-hj-np-tv-xz]{3,6})?$/);
  fc.assert(
    fc.property(NAME, odd, DIVIDED, fc.boolean(), (name, words, between, late) => {
      const line = late ? [name, 'bride', '10:00', words] : [name, words, 'bride', '10:00'];
      expect(only(line.join(between))).toMatchObject({ name, role: 'star', readyBy: at(10), notes: words });
    }),
    { seed: 6, numRuns: 200 },
  );
});

test.each([
  ['Bridesmaids x3: Ada, Bel, Coco - make up', ['Ada', 'Bel', 'Coco'], 'attendant'],
  ['The bridesmaids: Ada, Bel and Coco Orr', ['Ada', 'Bel', 'Coco Orr'], 'attendant'],
  ['- bridesmaids (2) - Ada & Bel', ['Ada', 'Bel'], 'attendant'],
  ['Ada, Bel and Coco - bridesmaids - makeup', ['Ada', 'Bel', 'Coco'], 'attendant'],
  ['Ada, Bel & Coco Orr (bridesmaids)', ['Ada', 'Bel', 'Coco Orr'], 'attendant'],
  ['2) Ada + Bel: bridesmaids, makeup', ['Ada', 'Bel'], 'attendant'],
  ['Ada and Bo, bridesmaids', ['Ada', 'Bo'], 'attendant'],
  ['• Pip and Posy – flower girls', ['Pip', 'Posy'], 'child'],
  ['Bridesmaids - Ada / Bel / Coco', ['Ada', 'Bel', 'Coco'], 'attendant'],
] as const)('%s are several', (line, names, role) => {
  const { guests, problems } = guestsFromText(line);
  expect(problems).toEqual([]);
  expect(guests.map((one) => one.name)).toEqual(names);
  for (const one of guests) expect(one).toMatchObject({ role, hairMinutes: null, notes: '' });
});

test.each([
  // One of them, or words that are no names: nothing is guessed.
  ['Bridesmaid: Ada', 1],
  ['Bridesmaids: Ada', 1],
  ['Ada - bridesmaids', 1],
  ['Ada, Bel - bridesmaid', 0],
  ['Ada, likes rose - bridesmaids', 1],
  ['Bridesmaids: Ada, likes rose', 1],
  ['Hours: Ada, Bel', 0],
])('%s is no list of several', (line, found) => {
  const { guests, problems } = guestsFromText(line);
  expect([guests.length, guests.length + problems.length]).toEqual([found, 1]);
});

test('an age is theirs behind whose name it stands', () =>
  expect(guestsFromText('Flower girls: Pip + Posy (7)').guests).toMatchObject([
    { name: 'Pip', role: 'child', notes: '' },
    { name: 'Posy', role: 'child', notes: 'age 7' },
  ]));

test('in one line each with what is said of them in brackets', () => {
  const told = (line: string) =>
    guestsFromText(line).guests.map(({ name, role, hairMinutes }) => [name, role, hairMinutes]);
  expect(told('Bridesmaids: Ada Lund (hair), Bel Orr (hair + makeup), Coco')).toEqual([
    ['Ada Lund', 'attendant', 40],
    ['Bel Orr', 'attendant', 40],
    ['Coco', 'attendant', null],
  ]);
  expect(told('Ada (bride), Bel (MOH, hair) & Coco (mum)')).toEqual([
    ['Ada', 'star', null],
    ['Bel', 'attendant', 40],
    ['Coco', 'close', null],
  ]);
});

test('what is said after several is said of each', () => {
  const { guests } = guestsFromText('Ada and Bel - bridesmaids - hair 30, 10:30, vegan');
  expect(guests).toHaveLength(2);
  for (const one of guests)
    expect(one).toMatchObject({ readyBy: at(10, 30), hairMinutes: 30, notes: 'vegan' });
});

test('several told in one line: what is wrong with one is told by that line, the others are taken', () => {
  const { guests, problems } = guestsFromText('Bride: Ada\nBridesmaids: Bel, Ada, Coco');
  expect(guests.map(({ name }) => name)).toEqual(['Ada', 'Bel', 'Coco']);
  expect(problems).toMatchObject([{ line: 2, text: 'Bridesmaids: Ada', message: 'Ada is there twice.' }]);
});

test('of whatever is pasted each line is a person or a problem, and a guest of the plan can be made of it', () => {
  const plan = newPlan('morning', { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' });
  fc.assert(
    fc.property(fc.array(fc.string({ maxLength: 30, unit: 'grapheme' }), { maxLength: 6 }), (lines) => {
      const text = lines.join('\n');
      const { guests, problems } = guestsFromText(text);
      expect(guests.length + problems.length).toBe(
        text.split(/\r?\n/).filter((line) => line.trim() !== '').length,
      );
      for (const [i, guest] of guests.entries()) {
        expect(GUEST_ROLES).toContain(guest.role);
        expect(guest.name.trim()).not.toBe('');
        const made = newGuest(`g${i}`, guest, plan);
        expect(made.readyBy).toBeGreaterThanOrEqual(0);
        expect(made.readyBy).toBeLessThan(24 * 60);
        expect(made.lighterMinutes === null || made.faceMinutes > 0).toBe(true);
      }
    }),
    { seed: 7, numRuns: 500 },
  );
});

describe('a number before a line', () => {
  const read = (line: string) => {
    const { guests, problems } = guestsFromText(line);
    return [guests.map(({ name, role }) => `${name} ${role}`), problems.length];
  };

  test.each([': ', ', ', '; ', ' - ', ' – ', ' ('])('counts a role, however “%s” divides it', (mark) => {
    const end = mark === ' (' ? ')' : '';
    for (const names of ['Ada and Bel', 'Ada, Bel']) {
      const line = `Bridesmaids${mark}${names}${end}`;
      expect(read(`2 ${line}`)).toEqual(read(line));
    }
  });

  test.each(['Ada', 'Ada (bride)', 'Ada - bride', 'Ada, bride, 11:30'])('is one of a list: %s', (line) =>
    expect(read(`2 ${line}`)).toEqual(read(line)),
  );
});

test.each(['Flowers (Ada, Bel)', 'Kitchen (Ada and Bel) 45', 'Van (Cy, Di) 9:30'])(
  'what is no role has nobody in its brackets: %s is asked about',
  (line) => {
    const { guests, problems } = guestsFromText(line);
    expect(guests).toEqual([]);
    expect(problems).toHaveLength(1);
  },
);
