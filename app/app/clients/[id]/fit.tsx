import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const FitScreen = fromWork((work) => work.FitScreen);

export default function FitScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <FitScreen key={id} id={id} />;
}
