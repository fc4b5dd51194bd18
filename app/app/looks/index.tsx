import { PlaceIndex } from '../../features/frame/SideBySide';
import { LooksList } from '../../features/looks/LooksList';

export default function LooksIndex() {
  return <PlaceIndex list={<LooksList />} title="Choose a look" words="Its steps and places open here." />;
}
