import { PlaceIndex } from '../../features/frame/SideBySide';
import { PartiesList } from '../../features/parties/PartiesList';

export default function PartiesIndex() {
  return (
    <PlaceIndex list={<PartiesList />} title="Choose a party" words="Who, where and by when opens here." />
  );
}
