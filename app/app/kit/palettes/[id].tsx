import { useLocalSearchParams } from 'expo-router';
import { PaletteScreen } from '../../../features/palettes/PaletteScreen';

export default function PaletteScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PaletteScreen key={id} id={id} />;
}
