import { useCallback, useEffect, useState } from 'react';
import { dropTracing, keepTracing, tracingOf } from '../../data/photos';

export type Photo = {
  /** An address inside this page only; null when there is no photo. */
  readonly href: string | null;
  readonly kept: boolean;
  readonly open: (file: Blob) => void;
  /** Keeps it on this device, with her consent. */
  readonly keep: () => Promise<void>;
  readonly drop: () => Promise<void>;
};

/**
 * A photo for tracing: in memory, never sent, dropped when the screen is left unless it is kept on the
 * device.
 */
export function usePhoto(clientId: string): Photo {
  const [photo, setPhoto] = useState<{ readonly blob: Blob; readonly href: string } | null>(null);
  const [kept, setKept] = useState(false);
  const open = useCallback((blob: Blob) => setPhoto({ blob, href: URL.createObjectURL(blob) }), []);
  useEffect(() => {
    let current = true;
    tracingOf(clientId).then(
      (found) => {
        if (!current || !found) return;
        open(found);
        setKept(true);
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [clientId, open]);
  // The address is given back when another photo takes its place and when the screen is left.
  useEffect(() => () => (photo ? URL.revokeObjectURL(photo.href) : undefined), [photo]);
  const keep = useCallback(async () => {
    if (!photo) return;
    await keepTracing(clientId, photo.blob);
    setKept(true);
  }, [photo, clientId]);
  const drop = useCallback(async () => {
    await dropTracing(clientId);
    setKept(false);
    setPhoto(null);
  }, [clientId]);
  return { href: photo?.href ?? null, kept, open, keep, drop };
}
