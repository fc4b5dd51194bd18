import { useLocalSearchParams } from 'expo-router';
import { TraceScreen } from '../../../features/trace/TraceScreen';

export default function TraceScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TraceScreen key={id} id={id} />;
}
