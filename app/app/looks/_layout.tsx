import { SideBySide } from '../../features/frame/SideBySide';
import { LooksList } from '../../features/looks/LooksList';

export default function LooksLayout() {
  return <SideBySide list={<LooksList />} />;
}
