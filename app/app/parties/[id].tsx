import { useLocalSearchParams } from 'expo-router';
import { PartyScreen } from '../../features/parties/PartyScreen';

export default function PartyScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PartyScreen key={id} id={id} />;
}
