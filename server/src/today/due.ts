import {
  consentMissing,
  msg,
  patchState,
  plural,
  shelfLife,
  term,
  type Features,
  type PatchTest,
  type ShelfLife,
} from '@toile/core';
import type { DueItem, VisitAnswer } from '@toile/contract';

export type ClientCare = {
  readonly id: string;
  readonly name: string;
  readonly sensitivities: readonly string[];
  readonly birthYear: number | null;
  readonly features: Pick<Features, 'age'>;
  readonly guardianConsent: string;
  /** The instant of the newest reading. */
  readonly lastRead: string | null;
  readonly patchTests: readonly PatchTest[];
};

/** Units opened on one day whose makers give them as many months: as many as there are. */
export type OpenedUnits = {
  readonly openedOn: string;
  readonly monthsAfterOpening: number;
  readonly units: number;
};

const REREAD_DAYS = 14;

/** What is due before the next visits: pure, from what was gathered. */
export function whatIsDue(
  today: string,
  visits: readonly VisitAnswer[],
  clients: readonly ClientCare[],
  opened: readonly OpenedUnits[],
  now: Date,
): DueItem[] {
  const coming = new Set(visits.map((v) => v.clientId));
  const people = clients.filter((c) => coming.has(c.id));
  return [
    ...people.flatMap((c): DueItem[] => {
      const missing = consentMissing(today, c);
      const asks = missing === 'perhaps' ? msg`perhaps not of age: ask for` : msg`a minor: get and note`;
      return missing === null
        ? []
        : [{ kind: 'consent', words: msg`${c.name}: ${asks} a guardian’s consent`, clientId: c.id }];
    }),
    ...people
      .filter((c) => c.sensitivities.length > 0 && c.patchTests.length === 0)
      .map((c): DueItem => ({
        kind: 'patch test',
        words: msg`${c.name}: ask for the patch test result (${c.sensitivities.map((one) => term(one)).join(', ')})`,
        clientId: c.id,
      })),
    ...people.flatMap((c) => c.patchTests.flatMap((test) => patchTestDue(c, test, now, today))),
    ...people
      .filter((c) => isOld(c.lastRead, today))
      .map((c): DueItem => ({
        kind: 're-read',
        words: c.lastRead
          ? msg`${c.name}: skin last read ${daysBetween(c.lastRead, today)} days ago`
          : msg`${c.name}: skin not read yet`,
        clientId: c.id,
      })),
    ...shelf(opened, today),
  ];
}

/** What is to be done of a patch test today, and what it forbids. */
function patchTestDue(client: ClientCare, test: PatchTest, now: Date, today: string): DueItem[] {
  const state = patchState(test, now, today);
  const told = (words: string): DueItem[] => [
    { kind: 'patch test', words: `${client.name}: ${words}`, clientId: client.id },
  ];
  switch (state.is) {
    case 'planned':
      return test.plannedFor <= today
        ? told(
            msg`lay the patch test of ${test.product}${state.late ? msg`, planned for ${test.plannedFor}` : ''}`,
          )
        : [];
    case 'laid':
    case 'clear so far':
      return state.late ? told(msg`read the patch test of ${test.product}`) : [];
    case 'reacted':
    case 'unsure':
      return told(
        msg`the patch test of ${test.product} ${state.is === 'reacted' ? msg`reacted` : msg`was not clear`}`,
      );
    case 'clear':
      return [];
  }
}

const isOld = (read: string | null, today: string): boolean =>
  read === null || daysBetween(read, today) > REREAD_DAYS;
const daysBetween = (from: string, today: string): number =>
  Math.floor((Date.parse(`${today}T12:00:00Z`) - Date.parse(from)) / 86_400_000);

function shelf(opened: readonly OpenedUnits[], today: string): DueItem[] {
  const tally: Record<ShelfLife['state'], number> = { unopened: 0, good: 0, soon: 0, past: 0 };
  for (const one of opened) tally[shelfLife(one, one, today).state] += one.units;
  const items: DueItem[] = [];
  if (tally.past > 0)
    items.push({
      kind: 'expired',
      words: msg`${plural(tally.past)`${tally.past} unit is|${tally.past} units are`} past the shelf life after opening`,
      clientId: null,
    });
  if (tally.soon > 0)
    items.push({
      kind: 'expiring',
      words: msg`${plural(tally.soon)`${tally.soon} unit runs|${tally.soon} units run`} out of shelf life within 30 days`,
      clientId: null,
    });
  return items;
}
