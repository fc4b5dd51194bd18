import { sql } from 'kysely';
import { addDays, clock } from '@toile/core';
import type { TodayAnswer, TodayParty } from '@toile/contract';
import { patchTestsOfRows, patchTestsQuery } from '../patchTests/queries';
import { together } from '../db/together';
import { readHeldByMinute } from '../http/readHeld';
import type { Services } from '../http/register';
import { partySummaries, partySummaryOf } from '../parties/summaries';
import { dayOfStudio } from '../studio/day';
import { settingsOfRows, settingsQuery } from '../studio/settings';
import { visitOfRow, visitsQuery } from '../visits/queries';
import { barredDue } from './barredDue';
import { chartsToMind } from './chartsToMind';
import { whatIsDue } from './due';
import { openedUnitsQuery } from './openedUnits';
import { partyRunUpDue, RUN_UP_DAYS, runUpDue, type PlanForRunUp } from './runUpDue';

/** Within RUN_UP_DAYS. */
const DAYS_AHEAD = 21;
/** More than anyone makes up within a run-up. */
const MOST_PARTIES = 100;
/** More than are written down of people who come within weeks. */
const MOST_INCIDENTS = 1000;
const OF_TODAY = [
  'studio_settings',
  'visits',
  'clients',
  'readings',
  'patch_tests',
  'incidents',
  'charts',
  'chart_versions',
  'parties',
  'products',
  'units',
] as const;

/** Of a plan, which may be long, only what is asked. */
const runUpOfPlan = sql<PlanForRunUp | null>`
  case when p.plan is not null then jsonb_strip_nulls(jsonb_build_object(
    'runUp', p.plan -> 'runUp', 'noShop', p.plan -> 'noShop', 'lastShop', p.plan -> 'lastShop')) end`.as(
  'plan',
);

/** The minute of the day at which the first of its hands is there. */
const beginsOfPlan = sql<number | null>`(
  select min((hands ->> 'arrives')::integer)
  from jsonb_array_elements(p.plan -> 'hands') as hands)`.as('begins');

/** What is next and what is due. */
export function registerToday(services: Services): void {
  readHeldByMinute(services, 'today', OF_TODAY, async ({ tx, now, query }) => {
    // Which day it is the studio's settings say. Asked in the same go, so for a day more on either side: no
    // zone is further than that from UTC.
    const about = now.toISOString().slice(0, 10);
    const from = addDays(about, -RUN_UP_DAYS.after - 1);
    const to = addDays(about, Math.max(RUN_UP_DAYS.before, DAYS_AHEAD) + 1);
    const comingVisits = tx
      .selectFrom('visits')
      .where('date', '>=', addDays(about, -1))
      .where('date', '<=', addDays(about, DAYS_AHEAD + 1))
      .where('state', '!=', 'cancelled');
    const coming = comingVisits.select('client_id');
    const told = await together(tx, {
      settings: settingsQuery(tx),
      visits: visitsQuery(tx, { from, to, standing: true }),
      clients: tx
        .selectFrom('clients as c')
        .select((eb) => [
          'c.id',
          'c.name',
          'c.sensitivities',
          'c.birth_year',
          'c.guardian_consent',
          'c.features',
          eb
            .selectFrom('readings')
            .select((r) => r.fn.max('readings.at').as('at'))
            .whereRef('client_id', '=', 'c.id')
            .as('last_read'),
        ])
        .where('c.id', 'in', coming)
        .orderBy('c.folded'),
      tests: patchTestsQuery(tx).where('client_id', 'in', coming),
      incidents: tx
        .selectFrom('incidents')
        .select(['client_id', 'document'])
        .where('client_id', 'in', coming)
        .limit(MOST_INCIDENTS),
      charts: chartsToMind(tx, comingVisits.select('chart_id'), Number(about.slice(0, 4))),
      parties: partySummaries(tx)
        .select([runUpOfPlan, beginsOfPlan])
        .where('p.date', '>=', from)
        .where('p.date', '<=', to)
        .orderBy('p.date')
        .orderBy('p.id')
        .limit(MOST_PARTIES),
      opened: openedUnitsQuery(),
    });
    const date = dayOfStudio(settingsOfRows(told.settings).settings, now, query.zone);
    const within = (day: string, first: string, last: string): boolean => day >= first && day <= last;
    const near = ({ date: day }: { readonly date: string }): boolean =>
      within(day, addDays(date, -RUN_UP_DAYS.after), addDays(date, RUN_UP_DAYS.before));
    const around = told.visits.map(visitOfRow).filter(near);
    const ahead = (one: { readonly date: string }): boolean =>
      within(one.date, date, addDays(date, DAYS_AHEAD));
    const visits = around.filter(ahead);
    const tests = patchTestsOfRows(told.tests);
    const clients = told.clients.map((r) => ({
      id: r.id,
      name: r.name,
      sensitivities: r.sensitivities,
      birthYear: r.birth_year,
      features: r.features,
      guardianConsent: r.guardian_consent,
      lastRead: r.last_read,
      patchTests: tests.filter((test) => test.clientId === r.id),
      incidents: told.incidents.flatMap((one) => (one.client_id === r.id ? [one.document] : [])),
    }));
    const answer: TodayAnswer = {
      date,
      visits,
      parties: told.parties.filter(ahead).map((party): TodayParty => ({
        ...partySummaryOf(party),
        begins: party.begins === null ? null : clock(party.begins),
      })),
      due: [
        ...barredDue(
          visits,
          told.charts.map(({ document }) => document),
          clients,
          date,
          now,
        ),
        ...whatIsDue(date, visits, clients, told.opened, now),
        ...runUpDue(around, date),
        ...partyRunUpDue(told.parties.filter(near), date),
      ],
    };
    return { body: answer };
  });
}
