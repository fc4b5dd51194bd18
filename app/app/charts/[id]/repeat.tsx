import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const RepeatScreen = fromWork((work) => work.RepeatScreen);

export default function RepeatScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RepeatScreen key={id} id={id} />;
}
