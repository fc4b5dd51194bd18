import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../../features/frame/fromWork';

const ProductScreen = fromWork((work) => work.ProductScreen);

export default function ProductScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ProductScreen key={id} id={id} />;
}
