import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const ReadScreen = fromWork((work) => work.ReadScreen);

export default function ReadScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ReadScreen key={id} id={id} />;
}
