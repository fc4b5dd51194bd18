import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const TrialScreen = fromWork((work) => work.TrialScreen);

export default function TrialScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TrialScreen key={id} id={id} />;
}
