import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const PhotosScreen = fromWork((work) => work.PhotosScreen);

export default function PhotosScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PhotosScreen key={id} id={id} />;
}
