import { useLocalSearchParams } from 'expo-router';
import { ProductScreen } from '../../../../features/kit/ProductScreen';

export default function ProductScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ProductScreen key={id} id={id} />;
}
