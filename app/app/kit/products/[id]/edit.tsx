import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../../features/frame/fromWork';

const EditProductScreen = fromWork((work) => work.EditProductScreen);

export default function EditProductScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditProductScreen key={id} id={id} />;
}
