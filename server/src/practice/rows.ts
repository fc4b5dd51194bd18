import type { PracticeEvent } from '@toile/core';

/** What was practised as its row. */
export function practiceRow(studioId: string, accountId: string, event: PracticeEvent) {
  return {
    studio_id: studioId,
    id: event.id,
    account_id: accountId,
    kind: event.kind,
    skill: event.skill,
    event: JSON.stringify(event),
    at: event.at,
  };
}
