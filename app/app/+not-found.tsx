import { usePathname } from 'expo-router';
import { msg } from '@toile/core';
import { Button, Empty, Screen } from '../ui';

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
