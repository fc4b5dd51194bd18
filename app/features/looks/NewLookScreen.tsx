import { useLocalSearchParams, useRouter } from 'expo-router';
import { blankLook, msg, type Look } from '@toile/core';
import { newId } from '@toile/contract';
import { useLook, useSession, useStudioSettings } from '../../data/hooks';
import { Ready, Screen } from '../../ui';
import { LookWorkshop } from './LookWorkshop';

/** A look from nothing, or from a copy of another. */
export function NewLookScreen() {
  const { from = '' } = useLocalSearchParams<{ from?: string }>();
  const router = useRouter();
  const copied = useLook(from === '' ? null : from);
  const settings = useStudioSettings();
  const session = useSession();
  const ready = settings.data && session.data && (from === '' || copied.data);
  const back = (): void => router.navigate(from === '' ? '/looks' : `/looks/${from}`);
  if (!ready)
    return (
      <Screen title={msg`A new look`} onBack={back}>
        {from === '' ? (
          <Ready remote={settings}>{() => null}</Ready>
        ) : (
          <Ready remote={copied}>{() => null}</Ready>
        )}
      </Screen>
    );
  const stamp = () => ({
    id: newId(),
    author: session.data!.name,
    at: new Date().toISOString(),
    reason: '',
  });
  const start = (): Look =>
    copied.data
      ? {
          ...copied.data.look,
          ...stamp(),
          version: 1,
          parent: null,
          name: msg`${copied.data.look.name}, again`,
        }
      : blankLook(stamp(), newId(), settings.data?.settings.schools);
  return (
    <LookWorkshop
      key={from}
      start={start}
      draftName={from === '' ? 'look, new' : `look, copied from ${from}`}
      isNew
      onBack={back}
    />
  );
}
