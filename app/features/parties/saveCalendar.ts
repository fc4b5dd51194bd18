import { partyCalendar, type PartyPlan } from '@toile/core';
import type { PartyAnswer } from '@toile/contract';

/** Saves a party's kept timetable as an iCalendar file. */
export function saveCalendar(party: PartyAnswer, plan: PartyPlan): void {
  const text = partyCalendar(party, plan, new Date());
  const href = URL.createObjectURL(new Blob([text], { type: 'text/calendar' }));
  const link = document.createElement('a');
  link.href = href;
  link.download = `${party.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.ics`;
  link.click();
  // Revoked at once, some browsers save an empty file.
  setTimeout(() => URL.revokeObjectURL(href), 10_000);
}
