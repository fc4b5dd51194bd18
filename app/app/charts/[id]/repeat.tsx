import { useLocalSearchParams } from 'expo-router';
import { RepeatScreen } from '../../../features/repeat/RepeatScreen';

export default function RepeatScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RepeatScreen key={id} id={id} />;
}
