import { lazy, Suspense, type ComponentType, type ReactElement } from 'react';
import { Loading } from '../../ui';

type Work = typeof import('../work');
const fetched = (): Promise<Work> => import('../work');

/** Fetches what the other screens are made of before one of them is opened. */
export const fetchWork = (): void => void fetched().catch(() => undefined);

/**
 * A screen that is fetched with the others when the first of them is opened; until then it says that it
 * comes.
 */
export function fromWork<P extends object>(
  screen: (work: Work) => ComponentType<P>,
  meanwhile: ReactElement = <Loading />,
): (props: P) => ReactElement {
  const Screen = lazy(async () => ({ default: screen(await fetched()) }));
  return function FromWork(props) {
    return (
      <Suspense fallback={meanwhile}>
        <Screen {...props} />
      </Suspense>
    );
  };
}
