import { useLocalSearchParams } from 'expo-router';
import { ChairScreen } from '../../../features/chair/ChairScreen';

export default function ChairScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ChairScreen key={id} id={id} />;
}
