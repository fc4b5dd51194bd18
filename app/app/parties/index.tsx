import { msg } from '@toile/core';
import { PlaceIndex } from '../../features/frame/SideBySide';
import { PartiesList } from '../../features/parties/PartiesList';

export default function PartiesIndex() {
  return (
    <PlaceIndex
      list={<PartiesList />}
      title={msg`Choose a party`}
      words={msg`Who, where and by when opens here.`}
    />
  );
}
