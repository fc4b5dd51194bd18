import type { SessionAnswer } from '@toile/contract';
import { useSetUpState } from '../../data/hooks';
import { Loading, View } from '../../ui';
import { fromWork } from '../frame/fromWork';
import { SignInScreen } from './SignInScreen';

const SetUpScreen = fromWork((work) => work.SetUpScreen);

/** The door: signing in, or setting up where nobody has yet. Without an answer, signing in. */
export function Door({ onSignedIn }: { readonly onSignedIn: (session: SessionAnswer) => void }) {
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
    <SignInScreen onSignedIn={onSignedIn} />
  );
}
