import { Type, type Static } from '@sinclair/typebox';
import { DRY_ZONES, OILY_ZONES, type Features } from '../face';
import { messagesIn, msg, plural, term } from '../messages';
import { closed, oneOf, TextSchema } from '../schema';

export const ACCESS_NEEDS = [
  'tremor',
  'cannot recline',
  'cannot wait long',
  'breaks',
  'quiet room',
  'hard of hearing',
  'sees little',
] as const;
export const PHOTO_CONSENTS = ['none', 'for the studio alone', 'may be shown'] as const;

const words = Type.String({ minLength: 1, maxLength: 1000 });

/**
 * What was said in a first talk, or on a client's own phone: what is left out nobody asked or nobody
 * answered.
 */
export const ConsultSchema = Type.Object(
  {
    usual: Type.Optional(words),
    disliked: Type.Optional(words),
    wished: Type.Optional(words),
    hours: Type.Optional(Type.Number({ minimum: 0.5, maximum: 24 })),
    oily: Type.Optional(Type.Array(oneOf(OILY_ZONES), { maxItems: 5 })),
    dry: Type.Optional(Type.Boolean()),
    dryZones: Type.Optional(Type.Array(oneOf(DRY_ZONES), { maxItems: DRY_ZONES.length })),
    lenses: Type.Optional(Type.Boolean()),
    access: Type.Optional(Type.Array(oneOf(ACCESS_NEEDS), { maxItems: ACCESS_NEEDS.length })),
    guardian: Type.Optional(TextSchema),
    photos: Type.Optional(oneOf(PHOTO_CONSENTS)),
    /** Consent to keep words on health; without it none of them is kept. */
    keepHealth: Type.Optional(Type.Boolean()),
    sensitivities: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 120 }), { maxItems: 40 })),
    conditions: Type.Optional(words),
    treatments: Type.Optional(words),
  },
  closed,
);
export type Consult = Static<typeof ConsultSchema>;
export type ConsultKey = keyof Consult;

type Ask =
  | { readonly kind: 'words' | 'list' | 'line' | 'hours' | 'yes or no' }
  | { readonly kind: 'one' | 'several'; readonly options: readonly string[] };
export type ConsultQuestion = Ask & {
  readonly key: ConsultKey;
  /** As it is asked of whoever sits in the chair. */
  readonly asks: string;
  /** As it stands in the studio's notes. */
  readonly label: string;
  readonly hint?: string;
  /** Words on health: asked and kept only with consent. */
  readonly health: boolean;
};

/** What a first talk asks, in order: the same at the table and on a client's own phone. */
export const CONSULT_QUESTIONS: readonly ConsultQuestion[] = messagesIn(
  ['asks', 'label', 'hint'],
  [
    {
      key: 'usual',
      kind: 'words',
      asks: 'What do you usually wear on your face?',
      label: 'Usually',
      health: false,
    },
    {
      key: 'disliked',
      kind: 'words',
      asks: 'What do you dislike, or never want again?',
      label: 'Dislikes',
      health: false,
    },
    { key: 'wished', kind: 'words', asks: 'What would you love to see?', label: 'Wishes', health: false },
    { key: 'hours', kind: 'hours', asks: 'How many hours must it hold?', label: 'Must hold', health: false },
    {
      key: 'oily',
      kind: 'several',
      options: OILY_ZONES,
      asks: 'Where does your skin shine during the day?',
      label: 'Shines',
      health: false,
    },
    {
      key: 'dry',
      kind: 'yes or no',
      asks: 'Does your skin feel tight or dry all over?',
      label: 'Dry skin',
      health: false,
    },
    {
      key: 'dryZones',
      kind: 'several',
      options: DRY_ZONES,
      asks: 'If only in places: where?',
      label: 'Dry at',
      health: false,
    },
    {
      key: 'lenses',
      kind: 'yes or no',
      asks: 'Do you wear contact lenses?',
      label: 'Contact lenses',
      health: false,
    },
    {
      key: 'access',
      kind: 'several',
      options: ACCESS_NEEDS,
      asks: 'What would make it easier for you?',
      label: 'Made easier by',
      health: false,
    },
    {
      key: 'guardian',
      kind: 'line',
      asks: 'If you are under age: who says yes, and how are they reached?',
      label: 'Guardian',
      health: false,
    },
    {
      key: 'photos',
      kind: 'one',
      options: PHOTO_CONSENTS,
      asks: 'Photographs of your face',
      label: 'Photographs',
      health: false,
    },
    {
      key: 'keepHealth',
      kind: 'yes or no',
      asks: 'May the studio keep what you say about your health, so that it can choose products with care?',
      label: 'May keep words on health',
      hint: 'You can say no, and you can have it taken out later.',
      health: false,
    },
    {
      key: 'sensitivities',
      kind: 'list',
      asks: 'What has your skin or have your eyes reacted to?',
      label: 'Sensitive to',
      hint: 'Divided by commas: latex, nickel, a perfume',
      health: true,
    },
    {
      key: 'conditions',
      kind: 'words',
      asks: 'Is there anything about your skin or eyes we should know?',
      label: 'Conditions, in own words',
      health: true,
    },
    {
      key: 'treatments',
      kind: 'words',
      asks: 'Any treatment of the skin, lashes or lips in the last weeks?',
      label: 'Treatments',
      health: true,
    },
  ],
);

const HEALTH = CONSULT_QUESTIONS.filter(({ health }) => health).map(({ key }) => key);

/** Answers on health that came without the consent to keep them. */
export const withoutConsent = (answers: Consult): ConsultKey[] =>
  answers.keepHealth === true ? [] : HEALTH.filter((key) => answers[key] !== undefined);

/** What of a client an answer may change. */
export type Consulted = {
  readonly features: Features;
  readonly sensitivities: readonly string[];
  readonly guardianConsent: string;
  readonly consult: Consult;
};

/** The most sensitivities a client's record holds; the form and the server refuse more, nothing cuts them. */
export const MOST_SENSITIVITIES = 200;

/**
 * A client's record with one answer taken over, where it belongs: lenses, skin and tremor among the features,
 * sensitivities beside those already noted, everything else as it was said. Taking back the consent takes the
 * words on health with it, but never a sensitivity that was noted: that is for a hand to decide. The same
 * object where nothing was answered.
 */
export function takenOver<T extends Consulted>(client: T, answers: Consult, key: ConsultKey): T {
  const { features, consult } = client;
  if (answers[key] === undefined) return client;
  switch (key) {
    case 'lenses':
    case 'dry':
      return { ...client, features: { ...features, [key]: answers[key] === true } };
    case 'oily':
      return { ...client, features: { ...features, oily: [...(answers.oily ?? [])] } };
    case 'dryZones':
      return { ...client, features: { ...features, dryZones: [...(answers.dryZones ?? [])] } };
    case 'guardian':
      return { ...client, guardianConsent: answers.guardian ?? '' };
    case 'sensitivities': {
      const known = new Set(client.sensitivities.map((word) => word.toLowerCase()));
      const fresh = (answers.sensitivities ?? []).filter((word) => !known.has(word.toLowerCase()));
      return { ...client, sensitivities: [...client.sensitivities, ...fresh] };
    }
    case 'access': {
      const access = answers.access ?? [];
      return {
        ...client,
        consult: { ...consult, access },
        features: {
          ...features,
          headTremor: features.headTremor || access.includes('tremor'),
          ...(access.includes('cannot recline') ? { cannotRecline: true } : {}),
        },
      };
    }
    case 'keepHealth':
      return {
        ...client,
        consult:
          answers.keepHealth === true
            ? { ...consult, keepHealth: true }
            : { ...withoutHealth(consult), keepHealth: false },
      };
    default:
      return { ...client, consult: { ...consult, [key]: answers[key] } };
  }
}

function withoutHealth({ sensitivities: _s, conditions: _c, treatments: _t, ...rest }: Consult): Consult {
  return rest;
}

/** An answer as it is read; empty for none. */
export function answerInWords(answers: Consult, key: ConsultKey): string {
  const value = answers[key];
  if (value === undefined) return '';
  if (typeof value === 'boolean') return value ? msg`yes` : msg`no`;
  if (typeof value === 'number') return plural(value)`${value} hour|${value} hours`;
  if (value === answers.photos && key === 'photos') return term(answers.photos ?? 'none');
  if (value === answers.access && key === 'access')
    return (answers.access ?? []).map((need) => term(need)).join(', ') || msg`none`;
  return typeof value === 'string' ? value : value.map((one) => term(one)).join(', ') || msg`none`;
}
