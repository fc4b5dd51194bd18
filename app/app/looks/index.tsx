import { fromWork } from '../../features/frame/fromWork';
import { useWide } from '../../ui';

const LooksGrid = fromWork((work) => work.LooksGrid);
const LooksList = fromWork((work) => work.LooksList);

export default function LooksIndex() {
  return useWide() ? <LooksGrid /> : <LooksList />;
}
