import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { msg } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { dropDraft, readDraft, writeDraft } from '../../data/drafts';
import { useClient } from '../../data/hooks';
import { Button, Empty, Ready, Screen } from '../../ui';
import { newestSkin } from '../clients/snapshot';
import { ChooseLook } from './ChooseLook';
import type { FitDraft } from './fitDraft';
import { FittedChart } from './FittedChart';

/** Chooses a look and a date, and fits it to the client. */
export function FitScreen({ id }: { readonly id: string }) {
  const client = useClient(id);
  const router = useRouter();
  if (client.data && Object.keys(newestSkin(client.data)).length === 0) {
    return (
      <Screen
        title={msg`Fit a look`}
        above={client.data.name}
        onBack={() => router.navigate(`/clients/${id}`)}
      >
        <Empty
          title={msg`Read the skin first`}
          words={msg`Shades are chosen from a reading: seven zones, five touches each.`}
        >
          <Button
            kind="main"
            onPress={() => router.navigate(`/clients/${id}/read`)}
          >{msg`Read the skin`}</Button>
        </Empty>
      </Screen>
    );
  }
  if (client.data) return <Fit client={client.data} />;
  return (
    <Screen title={msg`Fit a look`} onBack={() => router.navigate(`/clients/${id}`)}>
      <Ready remote={client}>{() => null}</Ready>
    </Screen>
  );
}

function Fit({ client }: { readonly client: ClientAnswer }) {
  const router = useRouter();
  const name = `fit.${client.id}`;
  const [draft, setDraft] = useState<FitDraft | null>(() => readDraft<FitDraft>(name));
  useEffect(() => (draft ? writeDraft(name, draft) : dropDraft(name)), [name, draft]);
  if (draft) return <FittedChart client={client} draft={draft} onChange={setDraft} />;
  return (
    <Screen
      title={msg`Fit a look`}
      above={client.name}
      onBack={() => router.navigate(`/clients/${client.id}`)}
      widest={720}
    >
      <ChooseLook client={client} onFitted={setDraft} />
    </Screen>
  );
}
