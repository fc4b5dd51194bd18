import type { SessionAnswer } from '@toile/contract';
import { useSetUpState } from '../../data/hooks';
import { Loading, View } from '../../ui';
import { fromWork } from '../frame/fromWork';
import { SignInScreen } from './SignInScreen';

const SetUpScreen = fromWork((work) => work.SetUpScreen);

/** The door: signing in, or setting up where nobody has yet. Without an answer, signing in. */
export function Door({
  led,
  onSignedIn,
}: {
  /** Whether who stands here was signed in a moment ago. */ readonly led: boolean;
  readonly onSignedIn: (session: SessionAnswer) => void;
}) {
  const state = useSetUpState();
  if (!state.data && !state.error)
    return (
      <View flex={1} backgroundColor="$background" justifyContent="center">
        <Loading />
      </View>
    );
  return state.data?.needed ? (
    <SetUpScreen onSignedIn={onSignedIn} />
  ) : (
    <SignInScreen led={led} onSignedIn={onSignedIn} />
  );
}
