import { lazy, Suspense, type ReactElement } from 'react';
import { Loading } from '../ui';
import NotFound from './+not-found';

/** Only while it is worked on: a built app has no such page, and nothing of it. */
const Gallery =
  process.env.NODE_ENV === 'production'
    ? null
    : lazy(async () => ({ default: (await import('../ui/gallery/GalleryScreen')).GalleryScreen }));

export default function GalleryPage(): ReactElement {
  return Gallery ? (
    <Suspense fallback={<Loading />}>
      <Gallery />
    </Suspense>
  ) : (
    <NotFound />
  );
}
