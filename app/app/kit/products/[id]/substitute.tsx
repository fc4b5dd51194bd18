import { useLocalSearchParams } from 'expo-router';
import { SubstituteScreen } from '../../../../features/substitute/SubstituteScreen';

export default function SubstituteScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SubstituteScreen key={id} id={id} />;
}
