import { useLocalSearchParams } from 'expo-router';
import { LightScreen } from '../../../features/light/LightScreen';

export default function LightScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LightScreen key={id} id={id} />;
}
