import { Link } from 'expo-router';
import type { ReactElement } from 'react';

/**
 * What is to be touched, as a true link when it leads somewhere: it opens by Enter, in a new tab, and shows where it
 * leads. Without an address it stays what it is.
 */
export function Linked({
  href,
  children,
}: {
  readonly href: string | undefined;
  readonly children: ReactElement;
}) {
  return href === undefined ? (
    children
  ) : (
    <Link href={href} asChild>
      {children}
    </Link>
  );
}
