import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../features/frame/fromWork';

const ExerciseScreen = fromWork((work) => work.ExerciseScreen);

export default function ExerciseScreenRoute() {
  const { skill } = useLocalSearchParams<{ skill: string }>();
  return <ExerciseScreen key={skill} skillId={skill} />;
}
