import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const MakeLookScreen = fromWork((work) => work.MakeLookScreen);

export default function MakeLookScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <MakeLookScreen key={id} id={id} />;
}
