import { usePathname } from 'expo-router';
import { Button, Empty, Screen } from '../ui';

/** An address that leads nowhere. */
export default function NotFound() {
  const path = usePathname();
  return (
    <Screen title="No such page">
      <Empty title={`Nothing is at ${path}`} words="The address may be mistyped, or from an older Toile.">
        <Button kind="main" href="/">
          To Today
        </Button>
      </Empty>
    </Screen>
  );
}
