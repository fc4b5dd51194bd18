import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../features/frame/fromWork';

const PartyScreen = fromWork((work) => work.PartyScreen);

export default function PartyScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PartyScreen key={id} id={id} />;
}
