import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const LightScreen = fromWork((work) => work.LightScreen);

export default function LightScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LightScreen key={id} id={id} />;
}
