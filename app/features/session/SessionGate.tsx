import { usePathname, useRouter } from 'expo-router';
import { useEffect, type ReactNode } from 'react';
import type { SessionAnswer } from '@toile/contract';
import { draftsBelongTo } from '../../data/drafts';
import { useHandOver, useOneAtATime } from '../../data/handOver';
import { inTime } from '../../data/inTime';
import { useStudioSettings, useWhoIsIn } from '../../data/hooks';
import { forgetWhatWasRead, keepAppOnHand } from '../../data/offline';
import { photosBelongTo } from '../../data/photos';
import { watchNetwork } from '../../data/outbox';
import { Failed, Loading, View } from '../../ui';
import { Frame } from '../frame/Frame';
import { fromWork } from '../frame/fromWork';
import { tellDaysIn, tellInManner } from '../words/dates';
import { Door } from './Door';
import { useBackFromTheDoor } from './useBackFromTheDoor';

// Who comes by a link fetches what fills in forms; the door and Today do without.
const IntakeScreen = fromWork((work) => work.IntakeScreen);
const WearLinkScreen = fromWork((work) => work.WearLinkScreen);
const JoinScreen = fromWork((work) => work.JoinScreen);

/** Nothing of a studio is shown before someone of it has signed in. */
export function SessionGate({ children }: { readonly children: ReactNode }) {
  const session = useWhoIsIn();
  const handOver = useHandOver();
  useOneAtATime(session.data, handOver);
  const path = usePathname();
  const router = useRouter();
  const email = session.data?.email;
  useEffect(keepAppOnHand, []);
  const led = useBackFromTheDoor(email);
  const settings = useStudioSettings(email !== undefined).data?.settings;
  // Before anything below is drawn: every day it tells is told in this zone, every hour in this manner.
  tellDaysIn(settings?.zone ?? null);
  tellInManner(settings?.manner);
  useEffect(() => (email === undefined ? undefined : watchNetwork(email)), [email]);
  // Before a form below is opened: what others left in forms on this device is nobody's to read.
  if (email !== undefined) draftsBelongTo(email);
  const enter = (answer: SessionAnswer): void => {
    // Nobody is kept at the door by a device's store that hangs.
    const tidied = inTime(Promise.all([forgetWhatWasRead(), photosBelongTo(answer.email)]));
    void tidied.catch(() => undefined).then(() => handOver(answer));
  };
  if (path === '/intake') return <IntakeScreen />;
  if (path === '/wear') return <WearLinkScreen />;
  if (path === '/join')
    return (
      <JoinScreen
        onSignedIn={(answer) => {
          router.replace('/');
          enter(answer);
        }}
      />
    );
  if (session.data === null) return <Door led={led} onSignedIn={enter} />;
  if (session.data) return <Frame bare={path.endsWith('/chair')}>{children}</Frame>;
  return (
    <View flex={1} backgroundColor="$background" justifyContent="center">
      {session.error ? <Failed words={session.error.message} onRetry={session.retry} /> : <Loading />}
    </View>
  );
}
