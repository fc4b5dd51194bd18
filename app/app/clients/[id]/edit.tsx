import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const EditClientScreen = fromWork((work) => work.EditClientScreen);

export default function EditClientRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditClientScreen key={id} id={id} />;
}
