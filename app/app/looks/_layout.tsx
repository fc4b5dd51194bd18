import { usePathname } from 'expo-router';
import { SideBySide } from '../../features/frame/SideBySide';
import { fromWork } from '../../features/frame/fromWork';

export { Mishap as ErrorBoundary } from '../../features/frame/Mishap';
const LooksList = fromWork((work) => work.LooksList);

export default function LooksLayout() {
  // The library itself is a page of pictures; beside an open look it is a list.
  const path = usePathname();
  // A look that is worked on needs the whole width, as a chart does.
  const whole = path === '/looks' || ['/looks/new', '/looks/import'].includes(path) || path.endsWith('/edit');
  return <SideBySide list={whole ? null : <LooksList />} />;
}
