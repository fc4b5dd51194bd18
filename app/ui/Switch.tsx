import type { ReactNode } from 'react';
import { Pressable } from 'react-native';
import { Body } from './Text';
import { useColours } from './theme';

type SwitchProps = {
  readonly label: string;
  readonly on: boolean;
  readonly onToggle: () => void;
  readonly children?: ReactNode;
};

/** Something that is on or off: a ticked box, its name, and what stands before the name. */
export function Switch({ label, on, onToggle, children }: SwitchProps) {
  const c = useColours();
  return (
    <Pressable
      role="switch"
      aria-checked={on}
      aria-label={label}
      onPress={onToggle}
      style={({ pressed }) => ({
        minHeight: 44,
        flexDirection: 'row',
        alignItems: 'center',
        gap: 10,
        paddingVertical: 4,
        borderBottomWidth: 1,
        borderBottomColor: c.line,
        backgroundColor: pressed ? c.raised : 'transparent',
        opacity: on ? 1 : 0.7,
      })}
    >
      <Body width={22} textAlign="center" borderWidth={1} borderColor={on ? '$ink' : '$inkSoft'} color="$ink">
        {on ? '✓' : ' '}
      </Body>
      {children}
      <Body flex={1}>{label}</Body>
    </Pressable>
  );
}
