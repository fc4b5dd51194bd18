import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const FitSeveralScreen = fromWork((work) => work.FitSeveralScreen);

export default function FitSeveralScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <FitSeveralScreen key={id} id={id} />;
}
