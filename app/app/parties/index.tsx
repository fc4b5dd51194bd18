import { Empty } from '../../ui';

export default function NoParty() {
  return <Empty title="Choose a party" words="Who, where and by when opens here." />;
}
