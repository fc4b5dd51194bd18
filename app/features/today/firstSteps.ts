import type { ClientSummary } from '@toile/contract';

export type FirstStep = {
  readonly title: string;
  readonly words: string;
  readonly done: boolean;
  readonly href: string;
};

/**
 * The way of a new studio from nobody to a first chart, in order; empty once it has been gone. The kit is done when no
 * kind of a first kit is missing.
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
      title: 'Add a client',
      words: 'A name is enough; then the face, from a photo or a few lengths.',
      done: one !== undefined,
      href: '/clients/new',
    },
    {
      title: 'Read the skin',
      words: 'Seven zones, a few touches each. The page says how.',
      done: read !== undefined,
      href: one ? `/clients/${one.id}/read` : '/clients',
    },
    {
      title: 'Fill the kit',
      words:
        kindsMissing.length === 0
          ? 'Every kind of a first kit is there.'
          : `Still without ${kindsMissing.slice(0, 4).join(', ')}${kindsMissing.length > 4 ? ` and ${kindsMissing.length - 4} more` : ''}. A list from a file does it at once.`,
      done: kindsMissing.length === 0,
      href: '/kit',
    },
    {
      title: 'Fit a look',
      words: 'Looks came along: one is fitted to this face, this skin and what the kit has.',
      done: charted,
      href: one ? `/clients/${one.id}/fit` : '/looks',
    },
  ];
  return steps.every(({ done }) => done) ? [] : steps;
}
