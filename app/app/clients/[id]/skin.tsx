import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const SkinScreen = fromWork((work) => work.SkinScreen);

export default function SkinScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SkinScreen key={id} id={id} />;
}
