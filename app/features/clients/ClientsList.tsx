import { useLocalSearchParams, usePathname, useRouter } from 'expo-router';
import { useDeferredValue } from 'react';
import { may } from '@toile/contract';
import { msg, plural } from '@toile/core';
import { useClients, useSession } from '../../data/hooks';
import { useKept } from '../../data/useKept';
import { Body, Button, Column, Empty, Field, Line, Ready, Row, Screen, Swatch } from '../../ui';
import { howFar } from '../words/dates';

/** Everyone, found by typing part of a name. */
export function ClientsList() {
  const [typed, setTyped] = useKept('clients words', '');
  const query = useDeferredValue(typed.trim());
  const clients = useClients(query);
  const session = useSession();
  const router = useRouter();
  const path = usePathname();
  const { find } = useLocalSearchParams<{ find?: string }>();
  const mayEdit = session.data ? may(session.data.role, 'edit') : false;
  return (
    <Screen
      title={msg`Clients`}
      foot={
        mayEdit ? (
          <Line flexWrap="nowrap">
            <Button large grow href="/clients/enquiry">{msg`An enquiry`}</Button>
            <Button
              kind="main"
              large
              grow
              onPress={() => router.navigate('/clients/new')}
            >{msg`New client`}</Button>
          </Line>
        ) : undefined
      }
    >
      <Column>
        <Field
          key={find}
          label={msg`Find`}
          value={typed}
          onChange={setTyped}
          placeholder={msg`Part of a name`}
          autoFocus={find !== undefined}
        />
        <Ready remote={clients}>
          {(list) =>
            list.length === 0 ? (
              <Empty
                title={msg`Nobody by that name`}
                words={
                  query === ''
                    ? msg`The studio has no clients yet.`
                    : msg`Nothing sounds like “${query}”. Try fewer letters.`
                }
              />
            ) : (
              <Column gap={0}>
                {list.map((client) => (
                  <Row
                    key={client.id}
                    title={client.name}
                    detail={
                      client.nextVisit
                        ? msg`Next ${howFar(client.nextVisit)}`
                        : client.chartCount > 0
                          ? plural(client.chartCount)`${client.chartCount} chart|${client.chartCount} charts`
                          : msg`No chart yet`
                    }
                    fact={client.lastRead ? msg`read ${howFar(client.lastRead)}` : msg`not read`}
                    before={
                      <Swatch lab={client.skin} label={client.skin ? msg`skin colour` : msg`skin not read`} />
                    }
                    chosen={path.startsWith(`/clients/${client.id}`)}
                    href={`/clients/${client.id}`}
                  />
                ))}
                {list.length >= 200 ? (
                  <Body color="$inkSoft">{msg`The first 200 are shown. Type part of a name.`}</Body>
                ) : null}
              </Column>
            )
          }
        </Ready>
      </Column>
    </Screen>
  );
}
