import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import type { ClientAnswer } from '@toile/contract';
import { dropIfRefused } from '../../data/photos';
import { Button, Empty } from '../../ui';

/** Whether the client agreed to photographs. */
export const mayPhotograph = ({ consult }: Pick<ClientAnswer, 'consult'>): boolean =>
  consult.photos !== undefined && consult.photos !== 'none';

/** Said in place of photographs where nobody agreed to them. */
export function NoConsent({ client }: { readonly client: Pick<ClientAnswer, 'id' | 'name' | 'consult'> }) {
  const router = useRouter();
  const said = client.consult.photos;
  // Said on another device, perhaps: this one hears of it here.
  useEffect(() => void dropIfRefused(client.id, said), [said, client.id]);
  return (
    <Empty
      title="No photographs"
      words={
        said === 'none'
          ? `${client.name} does not want photographs. If that has changed, say so in the first talk.`
          : `Nobody has asked ${client.name} yet. Ask in the first talk whether photographs may be kept.`
      }
    >
      <Button kind="main" onPress={() => router.navigate(`/clients/${client.id}/consult`)}>
        To the first talk
      </Button>
    </Empty>
  );
}
