import type { ReactNode } from 'react';
import { Body } from './Text';
import { useColours } from './theme';
import { Touch } from './Touch';

export type ButtonProps = {
  readonly children: ReactNode;
  /** What it does; */
  readonly onPress?: () => void;
  /** or where it leads, as a true link. */
  readonly href?: string;
  /** 'main' once a screen; 'stop' for what cannot be undone. */
  readonly kind?: 'main' | 'quiet' | 'stop';
  readonly disabled?: boolean;
  readonly label?: string;
  readonly large?: boolean;
  readonly grow?: boolean;
};

/** A button at least 44 px high, with a visible edge and focus. */
export function Button({
  children,
  onPress,
  href,
  kind = 'quiet',
  disabled = false,
  label,
  large = false,
  grow = false,
}: ButtonProps) {
  const c = useColours();
  const fill = { main: c.woad, quiet: c.surface, stop: c.surface }[kind];
  const ink = { main: c.onWoad, quiet: c.ink, stop: c.madder }[kind];
  const edge = { main: c.woad, quiet: c.inkSoft, stop: c.madder }[kind];
  return (
    <Touch
      role={href === undefined || disabled ? 'button' : 'link'}
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      href={disabled ? undefined : href}
      onPress={onPress}
      look={({ pressed }) => ({
        minHeight: large ? 56 : 44,
        minWidth: 44,
        paddingHorizontal: 16,
        paddingVertical: 8,
        borderRadius: 2,
        borderWidth: 1,
        borderColor: edge,
        backgroundColor: fill,
        opacity: disabled ? 0.45 : pressed ? 0.75 : 1,
        alignItems: 'center',
        justifyContent: 'center',
        ...(grow ? { flexGrow: 1, flexBasis: 0 } : {}),
      })}
    >
      {typeof children === 'string' ? (
        <Body
          color={ink}
          fontWeight={kind === 'main' ? '700' : '400'}
          fontSize={large ? '$4' : '$3'}
          textAlign="center"
        >
          {children}
        </Body>
      ) : (
        children
      )}
    </Touch>
  );
}
