import { useLocalSearchParams } from 'expo-router';
import { CompareScreen } from '../../../features/compare/CompareScreen';

export default function CompareScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CompareScreen key={id} id={id} />;
}
