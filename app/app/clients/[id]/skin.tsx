import { useLocalSearchParams } from 'expo-router';
import { SkinScreen } from '../../../features/skin/SkinScreen';

export default function SkinScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SkinScreen key={id} id={id} />;
}
