import { addDays } from '@toile/core';
import type { TodayAnswer } from '@toile/contract';
import { patchTestsOf } from '../patchTests/queries';
import { read, type Services } from '../http/register';
import { studioDay } from '../studio/day';
import { visitsWhere } from '../visits/queries';
import { whatIsDue } from './due';
import { openedUnits } from './openedUnits';
import { partyRunUpDue, RUN_UP_DAYS, runUpDue } from './runUpDue';

/** Within RUN_UP_DAYS. */
const DAYS_AHEAD = 21;
/** More than anyone makes up within a run-up. */
const MOST_PARTIES = 100;

/** What is next and what is due. */
export function registerToday(services: Services): void {
  read(services, 'today', async ({ tx, now, query }) => {
    const date = await studioDay(tx, now, query.zone);
    const to = addDays(date, DAYS_AHEAD);
    // What is next lies within what has a run-up: read once.
    const around = await visitsWhere(tx, {
      from: addDays(date, -RUN_UP_DAYS.after),
      to: addDays(date, RUN_UP_DAYS.before),
      standing: true,
    });
    const visits = around.filter((visit) => visit.date >= date && visit.date <= to);
    const ids = [...new Set(visits.map((v) => v.clientId))];
    const rows =
      ids.length === 0
        ? []
        : await tx
            .selectFrom('clients as c')
            .select((eb) => [
              'c.id',
              'c.name',
              'c.sensitivities',
              eb
                .selectFrom('readings')
                .select((r) => r.fn.max('readings.at').as('at'))
                .whereRef('client_id', '=', 'c.id')
                .as('last_read'),
            ])
            .where('c.id', 'in', ids)
            .orderBy('c.folded')
            .execute();
    const tests = await patchTestsOf(tx, { clientIds: ids });
    const clients = rows.map((r) => ({
      id: r.id,
      name: r.name,
      sensitivities: r.sensitivities,
      lastRead: r.last_read,
      patchTests: tests.filter((test) => test.clientId === r.id),
    }));
    const parties = await tx
      .selectFrom('parties')
      .select(['id', 'name', 'date', 'plan'])
      .where('date', '>=', addDays(date, -RUN_UP_DAYS.after))
      .where('date', '<=', addDays(date, RUN_UP_DAYS.before))
      .orderBy('date')
      .orderBy('id')
      .limit(MOST_PARTIES)
      .execute();
    const answer: TodayAnswer = {
      date,
      visits,
      due: [
        ...whatIsDue(date, visits, clients, await openedUnits(tx), now),
        ...runUpDue(around, date),
        ...partyRunUpDue(parties, date),
      ],
    };
    return { body: answer };
  });
}
