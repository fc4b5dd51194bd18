import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const ConsultScreen = fromWork((work) => work.ConsultScreen);

export default function ConsultRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ConsultScreen key={id} id={id} />;
}
