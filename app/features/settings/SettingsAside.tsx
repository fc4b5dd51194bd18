import { Link } from 'expo-router';
import { Pressable } from 'react-native';
import { msg } from '@toile/core';
import { SettingsIcon, useColours, useWide } from '../../ui';

/** The way to the settings on a phone; a wide screen has it in the rail. */
export function SettingsAside() {
  const c = useColours();
  if (useWide()) return null;
  return (
    <Link href="/settings" asChild>
      <Pressable
        role="link"
        aria-label={msg`Settings`}
        style={{ width: 44, height: 44, alignItems: 'center', justifyContent: 'center' }}
      >
        <SettingsIcon color={c.inkSoft} size={22} />
      </Pressable>
    </Link>
  );
}
