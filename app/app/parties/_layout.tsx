import { SideBySide } from '../../features/frame/SideBySide';
import { PartiesList } from '../../features/parties/PartiesList';

export default function PartiesLayout() {
  return <SideBySide list={<PartiesList />} />;
}
