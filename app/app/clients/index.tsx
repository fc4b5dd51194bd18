import { Empty } from '../../ui';

export default function NoClient() {
  return <Empty title="Choose a client" words="Face, skin and charts open here." />;
}
