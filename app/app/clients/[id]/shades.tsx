import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const ShadesScreen = fromWork((work) => work.ShadesScreen);

export default function ShadesScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ShadesScreen key={id} id={id} />;
}
