import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const PaletteScreen = fromWork((work) => work.PaletteScreen);

export default function PaletteScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PaletteScreen key={id} id={id} />;
}
