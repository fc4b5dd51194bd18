import { Link, usePathname, useRouter } from 'expo-router';
import { useEffect, useState, type ReactNode } from 'react';
import { Pressable } from 'react-native';
import { useOnline } from '../../data/offline';
import { flush, useOutbox } from '../../data/outbox';
import {
  Body,
  Button,
  Column,
  Dialog,
  Heading,
  Label,
  SettingsIcon,
  useColours,
  useWide,
  View,
} from '../../ui';
import { PLACES, placeOf } from './places';

/** The places round every screen: a bar under the thumb on a phone, a rail on a wide screen. */
export function Frame({ children, bare }: { readonly children: ReactNode; readonly bare: boolean }) {
  const wide = useWide();
  const path = usePathname();
  const help = useKeys();
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
      {help.shown ? <KeyHelp onClose={help.close} /> : null}
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
  const on = placeOf(current) === path.path && !/^\/(settings|rules|import)/.test(current);
  const ink = on ? c.woad : c.inkSoft;
  return (
    <Link href={path.path} asChild>
      <Pressable
        role="link"
        aria-label={path.label}
        aria-current={on ? 'page' : undefined}
        style={{
          minHeight: 56,
          minWidth: rail ? 64 : 36,
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
          {path.label}
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
      <Heading fontSize="$4" textAlign="center" marginBottom="$3">
        Toile
      </Heading>
      {PLACES.map((place) => (
        <Place key={place.path} path={place} current={path} rail />
      ))}
      <View flex={1} />
      <NoNetwork rail />
      <Unsent />
      <Link href="/settings" asChild>
        <Pressable
          role="link"
          aria-label="Settings"
          style={{ minHeight: 56, alignItems: 'center', justifyContent: 'center' }}
        >
          <SettingsIcon color={c.inkSoft} size={22} />
          <Label fontSize="$1" lineHeight="$1">
            Settings
          </Label>
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
    onPageOnly.size > 0 ? 'what is recorded is sent later.' : 'what is recorded is kept here and sent later.';
  return (
    <View role="status" padding="$2" backgroundColor="$raised">
      <Label color="$weld">
        {rail ? '▲ No network' : `▲ No network. What was opened before can be read; ${recorded}`}
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
      {onPageOnly.size > 0 ? <Label color="$madder">▲ Device full: keep this page open.</Label> : null}
      <Button
        label={`${waiting.length} recorded at the chair not sent, send now`}
        onPress={() => void flush()}
      >
        {`▲ ${waiting.length} unsent`}
      </Button>
    </View>
  );
}

/** Keys of the wide layout: / finds, n adds, g and a digit goes to a place, ? shows them. */
function useKeys(): { shown: boolean; close: () => void } {
  const router = useRouter();
  const [shown, setShown] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const typing =
        event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      const place = PLACES[Number(event.key) - 1];
      if (event.key === '?') setShown((on) => !on);
      else if (event.key === '/') {
        event.preventDefault();
        router.navigate('/clients?find=1');
      } else if (event.key === 'n') router.navigate('/clients/new');
      else if (place) router.navigate(place.path);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router]);
  return { shown, close: () => setShown(false) };
}

function KeyHelp({ onClose }: { readonly onClose: () => void }) {
  const keys = [
    ['/', 'find a client'],
    ['n', 'new client'],
    ['1 to 5', 'go to a place'],
    ['arrows', 'through steps'],
    ['space', 'done, at the chair'],
    ['Escape', 'close'],
  ] as const;
  return (
    <Dialog title="Keys" onClose={onClose}>
      {keys.map(([key, does]) => (
        <Body key={key}>{`${key}  ·  ${does}`}</Body>
      ))}
    </Dialog>
  );
}
