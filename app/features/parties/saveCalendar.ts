import { partyCalendar, type PartyPlan } from '@toile/core';
import type { PartyAnswer } from '@toile/contract';
import { saveFile } from '../files/saveFile';

/** Saves a party's kept timetable as an iCalendar file. */
export function saveCalendar(party: PartyAnswer, plan: PartyPlan): void {
  const name = `${party.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.ics`;
  saveFile(name, 'text/calendar', partyCalendar(party, plan, new Date()));
}
