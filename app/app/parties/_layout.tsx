import { SideBySide } from '../../features/frame/SideBySide';
import { PartiesList } from '../../features/parties/PartiesList';

export { Mishap as ErrorBoundary } from '../../features/frame/Mishap';
export default function PartiesLayout() {
  return <SideBySide list={<PartiesList />} />;
}
