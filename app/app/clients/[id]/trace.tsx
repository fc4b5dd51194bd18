import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const TraceScreen = fromWork((work) => work.TraceScreen);

export default function TraceScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TraceScreen key={id} id={id} />;
}
