import {
  minutesAsGiven,
  occasionOfParty,
  usualOccasion,
  withFaceMinutes,
  type Chart,
  type Guest,
  type Occasion,
  type PartyPlan,
} from '@toile/core';
import type { PartyAnswer } from '@toile/contract';
import { todayText } from '../words/dates';
import { withCharts } from './nowView';

/** What a party's day asks of a look; without a party, a day like today. */
export function occasionOf(party: PartyAnswer | null): Occasion {
  return party ? occasionOfParty(party, party.plan) : usualOccasion('wedding', todayText());
}

/** Clients at a party whose faces are made up and who have no chart yet. */
export function withoutChart(party: PartyAnswer): { readonly id: string; readonly name: string }[] {
  if (!party.plan) return [];
  return withCharts(party, party.plan).guests.flatMap((guest) =>
    guest.clientId !== null && guest.chartId === null && guest.faceMinutes > 0
      ? [{ id: guest.clientId, name: guest.name }]
      : [],
  );
}

/**
 * A plan whose people have these charts, by client, and the minutes they take; its timetable is to be found
 * anew.
 */
export function withSavedCharts(plan: PartyPlan, charts: ReadonlyMap<string, Chart>): PartyPlan {
  const guests = plan.guests.map((guest): Guest => {
    const chart = guest.clientId === null ? undefined : charts.get(guest.clientId);
    if (!chart) return guest;
    const steps = chart.steps.filter((step) => step.variant === undefined);
    const faceMinutes = Math.ceil(minutesAsGiven(steps, chart.client, chart.schools));
    return { ...withFaceMinutes(guest, faceMinutes), chartId: chart.id };
  });
  return { ...plan, guests, timetable: null };
}
