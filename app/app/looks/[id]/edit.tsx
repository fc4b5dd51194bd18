import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const EditLookScreen = fromWork((work) => work.EditLookScreen);

export default function EditLookScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditLookScreen key={id} id={id} />;
}
