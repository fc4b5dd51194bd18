import { msg, photographRefused } from '@toile/core';
import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import type { ClientAnswer } from '@toile/contract';
import { dropIfRefused } from '../../data/photos';
import { Button, Empty } from '../../ui';
import { todayText } from '../words/dates';

type Asked = Pick<ClientAnswer, 'id' | 'name' | 'consult' | 'features' | 'birthYear' | 'guardianConsent'>;

/** Whether the client agreed to photographs, and a minor's guardian did. */
export const mayPhotograph = (client: Asked): boolean => photographRefused(todayText(), client) === null;

const WHY = {
  refused: (name: string) =>
    msg`${name} does not want photographs. If that has changed, say so in the first talk.`,
  'not asked': (name: string) =>
    msg`Nobody has asked ${name} yet. Ask in the first talk whether photographs may be kept.`,
  'no guardian': (name: string) =>
    msg`${name} is a minor: first a guardian says yes, and it is noted in the first talk.`,
} as const;

/** Said in place of photographs where nobody agreed to them. */
export function NoConsent({ client }: { readonly client: Asked }) {
  const router = useRouter();
  const said = client.consult.photos;
  // Said on another device, perhaps: this one hears of it here.
  useEffect(() => void dropIfRefused(client.id, said), [said, client.id]);
  return (
    <Empty
      title={msg`No photographs`}
      words={WHY[photographRefused(todayText(), client) ?? 'not asked'](client.name)}
    >
      <Button
        kind="main"
        onPress={() => router.navigate(`/clients/${client.id}/consult`)}
      >{msg`To the first talk`}</Button>
    </Empty>
  );
}
