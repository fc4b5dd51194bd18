import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const FitSeveralScreen = fromWork((work) => work.FitSeveralScreen);

export default function FitSeveralScreenRoute() {
  const { id, party } = useLocalSearchParams<{ id: string; party?: string }>();
  return <FitSeveralScreen key={id} id={id} partyId={party ?? ''} />;
}
