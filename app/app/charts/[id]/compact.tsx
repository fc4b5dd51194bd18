import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const CompactScreen = fromWork((work) => work.CompactScreen);

export default function CompactScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CompactScreen key={id} id={id} />;
}
