import { Link, usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable } from 'react-native';
import { msg, term } from '@toile/core';
import { useOnline } from '../../data/offline';
import { flush, useOutbox } from '../../data/outbox';
import { Button, Column, Heading, Label, SettingsIcon, useColours, useWide, View } from '../../ui';
import { PLACES, placeOf } from './places';
import { Shortcuts } from './Shortcuts';

/** The places round every screen: a bar under the thumb on a phone, a rail on a wide screen. */
export function Frame({ children, bare }: { readonly children: ReactNode; readonly bare: boolean }) {
  const wide = useWide();
  const path = usePathname();
  if (bare) return <>{children}</>;
  return (
    <View flex={1} flexDirection={wide ? 'row' : 'column'} backgroundColor="$background" minHeight={0}>
      {wide ? <Rail path={path} /> : null}
      <View flex={1} minHeight={0} minWidth={0} role="main">
        {children}
      </View>
      {wide ? null : <NoNetwork />}
      {wide ? null : <Unsent />}
      {wide ? null : <Bar path={path} />}
      <Shortcuts />
    </View>
  );
}

function Place({
  path,
  current,
  rail,
}: {
  readonly path: (typeof PLACES)[number];
  readonly current: string;
  readonly rail: boolean;
}) {
  const c = useColours();
  const on = placeOf(current) === path.path && !/^\/(settings|rules|import|team|letters|holds)/.test(current);
  const ink = on ? c.woad : c.inkSoft;
  return (
    <Link href={path.path} asChild>
      <Pressable
        role="link"
        aria-label={term(path.label)}
        aria-current={on ? 'page' : undefined}
        style={{
          minHeight: 56,
          minWidth: rail ? 64 : 0,
          overflow: 'hidden',
          flexGrow: rail ? 0 : 1,
          flexBasis: rail ? 'auto' : 0,
          alignItems: 'center',
          justifyContent: 'center',
          gap: 2,
          borderTopWidth: rail ? 0 : 3,
          borderTopColor: on ? c.woad : 'transparent',
          borderLeftWidth: rail ? 4 : 0,
          borderLeftColor: on ? c.woad : 'transparent',
          paddingVertical: 6,
        }}
      >
        <path.Icon color={ink} size={22} strokeWidth={on ? 2.2 : 1.6} />
        <Label
          fontSize="$1"
          lineHeight="$1"
          color={on ? '$woad' : '$inkSoft'}
          fontWeight={on ? '700' : '400'}
        >
          {term(path.label)}
        </Label>
      </Pressable>
    </Link>
  );
}

function Bar({ path }: { readonly path: string }) {
  return (
    <View
      role="navigation"
      flexDirection="row"
      borderTopWidth={1}
      borderTopColor="$line"
      backgroundColor="$surface"
    >
      {PLACES.map((place) => (
        <Place key={place.path} path={place} current={path} rail={false} />
      ))}
    </View>
  );
}

function Rail({ path }: { readonly path: string }) {
  const c = useColours();
  return (
    <Column
      role="navigation"
      width={88}
      gap="$1"
      borderRightWidth={1}
      borderRightColor="$line"
      backgroundColor="$surface"
      paddingVertical="$3"
    >
      <Heading fontSize="$4" textAlign="center" marginBottom="$3">{msg`Toile`}</Heading>
      {PLACES.map((place) => (
        <Place key={place.path} path={place} current={path} rail />
      ))}
      <View flex={1} />
      <NoNetwork rail />
      <Unsent />
      <Link href="/settings" asChild>
        <Pressable
          role="link"
          aria-label={msg`Settings`}
          style={{ minHeight: 56, alignItems: 'center', justifyContent: 'center' }}
        >
          <SettingsIcon color={c.inkSoft} size={22} />
          <Label fontSize="$1" lineHeight="$1">{msg`Settings`}</Label>
        </Pressable>
      </Link>
    </Column>
  );
}

/** Said wherever one is while the device has no network; in the rail there is room for a few words only. */
function NoNetwork({ rail = false }: { readonly rail?: boolean }) {
  const online = useOnline();
  const { onPageOnly } = useOutbox();
  if (online) return null;
  const recorded =
    onPageOnly.size > 0
      ? msg`what is recorded is sent later.`
      : msg`what is recorded is kept here and sent later.`;
  return (
    <View role="status" padding="$2" backgroundColor="$raised">
      <Label color="$weld">
        {rail ? msg`▲ No network` : msg`▲ No network. What was opened before can be read; ${recorded}`}
      </Label>
    </View>
  );
}

/** What was recorded at the chair and has not arrived: said wherever one is, with a way to try again. */
function Unsent() {
  const { waiting, failure, onPageOnly } = useOutbox();
  if (waiting.length === 0 || failure === null) return null;
  return (
    <View role="status" padding="$2" gap="$2" backgroundColor="$raised">
      {onPageOnly.size > 0 ? <Label color="$madder">{msg`▲ Device full: keep this page open.`}</Label> : null}
      <Button
        label={msg`${waiting.length} recorded at the chair not sent, send now`}
        onPress={() => void flush()}
      >
        {msg`▲ ${waiting.length} unsent`}
      </Button>
    </View>
  );
}
