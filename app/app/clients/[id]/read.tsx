import { useLocalSearchParams } from 'expo-router';
import { ReadScreen } from '../../../features/reading/ReadScreen';

export default function ReadScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ReadScreen key={id} id={id} />;
}
