import { many, letters, ID, tryForms, type Row } from './forms.testing';
import { newPasswordSchema, setUpSchema } from './setUp';
import { signInSchema } from './signIn';
import {
  endSessionsSchema,
  inviteInputSchema,
  memberInputSchema,
  openInviteSchema,
  resetInputSchema,
  takeInviteSchema,
} from './team';

const SECRET = letters(32);
const TOKEN = `${ID}.${SECRET}`;
const LONG = `${letters(190)}@example.org`;

const password = (field: string): Row[] => [
  [field, '', 'Choose a password'],
  [field, undefined, 'Choose a password'],
  [field, letters(11), 'At least 12 letters'],
  [field, letters(12), null],
  // Spaces are letters of it: nothing is cut off what somebody chose.
  [field, `${letters(10)}  `, null],
  [field, letters(200), null],
  [field, letters(201), 'At most 200 letters'],
];
const email = (asked: string): Row[] => [
  ['email', ' ', asked],
  ['email', undefined, asked],
  ['email', 'ada', 'This is not an email address'],
  ['email', ' ada@example.org ', null],
  ['email', LONG, 'At most 200 letters'],
  ['email', ['ada'], 'This is not a text'],
];
const name = (field: string, asked: string): Row[] => [
  [field, '  ', asked],
  [field, undefined, asked],
  [field, letters(120), null],
  [field, letters(121), 'At most 120 letters'],
];
const role: Row[] = [
  ['role', 'owner', null],
  ['role', 'artist', null],
  ['role', 'assistant', null],
  ['role', 'guest', 'Choose a role'],
  ['role', undefined, 'Choose a role'],
];
const secret: Row[] = [
  ['secret', undefined, 'required'],
  ['secret', letters(31), 'is not a secret of 32 letters'],
  ['secret', letters(33), 'is not a secret of 32 letters'],
  ['secret', `${letters(31)}+`, 'is not a secret of 32 letters'],
  ['secret', `${letters(30)}_-`, null],
];
const token: Row[] = [
  ['token', undefined, 'The link is not whole'],
  ['token', '', 'The link is not whole'],
  ['token', letters(201), 'At most 200 letters'],
];

tryForms([
  [
    'signing in',
    signInSchema,
    { email: 'ada@example.org', password: 'x' },
    [
      ...email('Write your email'),
      ['password', '', 'Write your password'],
      ['password', undefined, 'Write your password'],
      ['password', letters(200), null],
      ['password', letters(201), 'At most 200 letters'],
    ],
  ],
  [
    'setting up',
    setUpSchema,
    {
      studio: 'Lantern Yard',
      zone: 'Europe/Lisbon',
      name: 'Ada Quill',
      email: 'ada@example.org',
      password: 'four plain words',
    },
    [
      ...name('studio', 'Name the studio'),
      ...name('name', 'Write your name'),
      ...email('Write your email'),
      ...password('password'),
      ['zone', undefined, 'Say which time zone'],
      ['zone', 'Lisbon', 'A time zone, as Europe/Lisbon'],
      ['zone', 'Asia/Jakarta', null],
      ['manner', { clock: '12 hours' }, null],
      ['manner', { clock: 'hourglass' }, 'one of 24 hours, 12 hours'],
    ],
  ],
  [
    'a new password',
    newPasswordSchema,
    { current: 'old', next: 'four plain words' },
    [
      ...password('next'),
      ['current', '', 'Write the password you have now'],
      ['current', undefined, 'Write the password you have now'],
      ['current', letters(201), 'At most 200 letters'],
    ],
  ],
  [
    'an invitation',
    inviteInputSchema,
    { id: ID, email: 'ada@example.org', name: 'Ada', role: 'artist', secret: SECRET },
    [
      ['id', 'x', 'must be a UUID'],
      ['id', undefined, 'required'],
      ...email('Write their email'),
      ...name('name', 'Write a name'),
      ...role,
      ...secret,
    ],
  ],
  [
    'a link for a new password',
    resetInputSchema,
    { id: ID, secret: SECRET },
    [['id', undefined, 'required'], ...secret],
  ],
  [
    'somebody of the team',
    memberInputSchema,
    { name: 'Ada', role: 'artist', active: true },
    [
      ...name('name', 'Write a name'),
      ...role,
      ['active', undefined, 'required'],
      ['active', 'perhaps', 'boolean'],
    ],
  ],
  ['an invitation opened', openInviteSchema, { token: TOKEN }, token],
  [
    'an invitation taken up',
    takeInviteSchema,
    { token: TOKEN, name: 'Ada', password: 'four plain words' },
    [...token, ...name('name', 'Write a name'), ...password('password')],
  ],
  [
    'sessions ended',
    endSessionsSchema,
    { id: 'one' },
    [
      ['id', null, null],
      ['id', letters(100), null],
      ['id', letters(101), '100'],
      ['id', many(1, 'one'), 'string'],
    ],
  ],
]);
