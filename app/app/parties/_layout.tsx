import { PartiesList } from '../../features/parties/PartiesList';
import { SideBySide } from '../../features/frame/SideBySide';

export default function PartiesLayout() {
  return <SideBySide list={<PartiesList />} root="/parties" />;
}
