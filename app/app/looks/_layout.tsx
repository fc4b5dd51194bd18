import { LooksList } from '../../features/looks/LooksList';
import { SideBySide } from '../../features/frame/SideBySide';

export default function LooksLayout() {
  return <SideBySide list={<LooksList />} root="/looks" />;
}
