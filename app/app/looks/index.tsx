import { Empty } from '../../ui';

export default function NoLook() {
  return <Empty title="Choose a look" words="Its steps and places open here." />;
}
