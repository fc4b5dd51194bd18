import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const WearScreen = fromWork((work) => work.WearScreen);

export default function WearScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <WearScreen key={id} id={id} />;
}
