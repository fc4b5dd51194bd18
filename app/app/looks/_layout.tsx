import { usePathname } from 'expo-router';
import { SideBySide } from '../../features/frame/SideBySide';
import { fromWork } from '../../features/frame/fromWork';

export { Mishap as ErrorBoundary } from '../../features/frame/Mishap';
const LooksList = fromWork((work) => work.LooksList);

export default function LooksLayout() {
  // The library itself is a page of pictures; beside an open look it is a list.
  const whole = usePathname() === '/looks';
  return <SideBySide list={whole ? null : <LooksList />} />;
}
