import { usePathname } from 'expo-router';
import { Button, Empty, Screen } from '../ui';
import { msg } from '@toile/core';

/** An address that leads nowhere. */
export default function NotFound() {
  const path = usePathname();
  return (
    <Screen title={msg`No such page`}>
      <Empty
        title={msg`Nothing is at ${path}`}
        words={msg`The address may be mistyped, or from an older Toile.`}
      >
        <Button kind="main" href="/">{msg`To Today`}</Button>
      </Empty>
    </Screen>
  );
}
