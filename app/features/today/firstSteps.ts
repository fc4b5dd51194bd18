import type { ClientSummary } from '@toile/contract';
import { msg } from '@toile/core';

export type FirstStep = {
  readonly title: string;
  readonly words: string;
  readonly done: boolean;
  readonly href: string;
};

/**
 * The way of a new studio from nobody to a first chart, in order; empty once it has been gone. The kit is
 * done when no kind of a first kit is missing.
 */
export function firstSteps(
  clients: readonly Pick<ClientSummary, 'id' | 'name' | 'lastRead' | 'chartCount'>[],
  kindsMissing: readonly string[],
): readonly FirstStep[] {
  const read = clients.find(({ lastRead }) => lastRead !== null);
  const one = read ?? clients[0];
  const charted = clients.some(({ chartCount }) => chartCount > 0);
  const steps: readonly FirstStep[] = [
    {
      title: msg`Add a client`,
      words: msg`A name is enough; then the face, from a photo or a few lengths.`,
      done: one !== undefined,
      href: '/clients/new',
    },
    {
      title: msg`Read the skin`,
      words: msg`Seven zones, a few touches each. The page says how.`,
      done: read !== undefined,
      href: one ? `/clients/${one.id}/read` : '/clients',
    },
    {
      title: msg`Fill the kit`,
      words:
        kindsMissing.length === 0
          ? msg`Every kind of a first kit is there.`
          : msg`Still without ${kindsMissing.slice(0, 4).join(', ')}${kindsMissing.length > 4 ? msg` and ${kindsMissing.length - 4} more` : ''}. A list from a file does it at once.`,
      done: kindsMissing.length === 0,
      href: '/kit',
    },
    {
      title: msg`Fit a look`,
      words: msg`Looks came along: one is fitted to this face, this skin and what the kit has.`,
      done: charted,
      href: one ? `/clients/${one.id}/fit` : '/looks',
    },
  ];
  return steps.every(({ done }) => done) ? [] : steps;
}
