import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const DeclareScreen = fromWork((work) => work.DeclareScreen);

export default function DeclareScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DeclareScreen key={id} id={id} />;
}
