import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const ChairScreen = fromWork((work) => work.ChairScreen);

export default function ChairScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ChairScreen key={id} id={id} />;
}
