import { cloneElement, type ReactElement } from 'react';

/** Stands in for the router in tests of screens: what is asked of it is told, links have their addresses. */
export const navigate = jest.fn();

export const useRouter = () => ({
  navigate,
  push: navigate,
  replace: navigate,
  back: navigate,
  canGoBack: () => false,
  setParams: navigate,
});
export const usePathname = (): string => '/';
export const useLocalSearchParams = (): Record<string, string> => ({});
export const Link = ({
  href,
  children,
}: {
  readonly href: string;
  readonly children: ReactElement<{ href?: string }>;
}) => cloneElement(children, { href });
