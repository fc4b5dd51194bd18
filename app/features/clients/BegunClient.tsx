import { useRouter } from 'expo-router';
import { Fragment, useState, type ReactNode } from 'react';
import type { ClientAnswer } from '@toile/contract';
import { draftedRevision, draftWaits } from '../../data/drafts';
import { useClient } from '../../data/hooks';
import { Ready, Screen } from '../../ui';

export type Begun = {
  /** The client as read when this began, or at the revision a draft that waits here began from. */
  readonly client: ClientAnswer;
  /** As saved now. */
  readonly newest: ClientAnswer;
  /** Begins again from another state. */
  readonly take: (client: ClientAnswer) => void;
};

type BegunClientProps = {
  readonly id: string;
  readonly title: string;
  /** The drafts of this form are named so, then the client, then the revision. */
  readonly draft: string;
  readonly children: (begun: Begun) => ReactNode;
};

/**
 * Work on a client stays on what it began from: what somebody else saves meanwhile takes nothing away, and is
 * met when this is saved. While nothing was typed there is none, and it follows what is saved.
 */
export function BegunClient({ id, title, draft, children }: BegunClientProps) {
  const client = useClient(id);
  const router = useRouter();
  if (client.data)
    return (
      <FromThere client={client.data} draft={draft}>
        {children}
      </FromThere>
    );
  return (
    <Screen title={title} onBack={() => router.navigate(`/clients/${id}`)}>
      <Ready remote={client}>{() => null}</Ready>
    </Screen>
  );
}

function FromThere({
  client: newest,
  draft,
  children,
}: Pick<BegunClientProps, 'draft' | 'children'> & { readonly client: ClientAnswer }) {
  const [client, take] = useState<ClientAnswer>(() => ({
    ...newest,
    revision: Math.min(draftedRevision(`${draft} ${newest.id}`) ?? newest.revision, newest.revision),
  }));
  if (newest.revision > client.revision && !draftWaits(`${draft} ${newest.id}`)) take(newest);
  return <Fragment key={client.revision}>{children({ client, newest, take })}</Fragment>;
}
