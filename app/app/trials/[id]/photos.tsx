import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const BlindScreen = fromWork((work) => work.BlindScreen);

export default function BlindScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BlindScreen key={id} id={id} />;
}
