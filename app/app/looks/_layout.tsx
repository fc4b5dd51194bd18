import { SideBySide } from '../../features/frame/SideBySide';
import { LooksList } from '../../features/looks/LooksList';

export { Mishap as ErrorBoundary } from '../../features/frame/Mishap';
export default function LooksLayout() {
  return <SideBySide list={<LooksList />} />;
}
