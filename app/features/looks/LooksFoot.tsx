import { may, pathTo } from '@toile/contract';
import { msg } from '@toile/core';
import { useSession } from '../../data/hooks';
import { Button, Line, Menu } from '../../ui';

/** What is done with the library: a look from nothing; files in and out. */
export function LooksFoot() {
  const session = useSession();
  if (!session.data || !may(session.data.role, 'edit')) return null;
  return (
    <Line flexWrap="nowrap">
      <Button kind="main" large grow href="/looks/new">{msg`New look`}</Button>
      <Menu
        label={msg`More of the looks`}
        items={[
          { words: msg`Take a look down while watching`, href: '/looks/take-down' },
          { words: msg`Bring in looks from a file`, href: '/looks/import' },
          {
            words: msg`Save the library as a file`,
            onPress: () => window.location.assign(pathTo('exportLooks')),
          },
        ]}
      />
    </Line>
  );
}
