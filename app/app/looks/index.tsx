import { LooksGrid } from '../../features/looks/LooksGrid';
import { LooksList } from '../../features/looks/LooksList';
import { useWide } from '../../ui';

export default function LooksIndex() {
  return useWide() ? <LooksGrid /> : <LooksList />;
}
