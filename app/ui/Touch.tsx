import { Link } from 'expo-router';
import { Pressable, type PressableProps, type ViewStyle } from 'react-native';

type TouchProps = Omit<PressableProps, 'style' | 'role'> & {
  readonly role: 'button' | 'link';
  /** Where it leads: then it is a true link, which opens by Enter and in a new tab. */
  readonly href?: string | undefined;
  /** How it looks, touched and not. */
  readonly look: (state: { readonly pressed: boolean }) => ViewStyle;
};

/** Something to be touched: a button, or a link where it leads somewhere. */
export function Touch({ href, look, ...props }: TouchProps) {
  const face = <Face look={look} {...props} />;
  return href === undefined ? (
    face
  ) : (
    <Link href={href} asChild>
      {face}
    </Link>
  );
}

type FaceProps = PressableProps & Pick<TouchProps, 'look'>;

/** The link gives its child a style of its own, which would take the place of one that follows the touch. */
function Face({ look, style: _given, ...props }: FaceProps) {
  return <Pressable {...props} style={look} />;
}
