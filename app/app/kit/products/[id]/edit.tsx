import { useLocalSearchParams } from 'expo-router';
import { EditProductScreen } from '../../../../features/kit/EditProductScreen';

export default function EditProductScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditProductScreen key={id} id={id} />;
}
