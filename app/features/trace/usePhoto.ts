import { useCallback, useEffect, useState } from 'react';
import { del, get, set } from 'idb-keyval';

export type Photo = {
  /** An address inside this page only; null when there is no photo. */
  readonly href: string | null;
  readonly kept: boolean;
  readonly open: (file: Blob) => void;
  /** Keeps it on this device, with her consent. */
  readonly keep: () => Promise<void>;
  readonly drop: () => Promise<void>;
};

const nameOf = (clientId: string): string => `toile.photo.${clientId}`;

/** A photo for tracing: in memory, never sent, dropped when the screen is left unless it is kept on the device. */
export function usePhoto(clientId: string): Photo {
  const [blob, setBlob] = useState<Blob | null>(null);
  const [href, setHref] = useState<string | null>(null);
  const [kept, setKept] = useState(false);
  useEffect(() => {
    let current = true;
    get<Blob>(nameOf(clientId)).then(
      (found) => {
        if (!current || !found) return;
        setBlob(found);
        setKept(true);
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [clientId]);
  useEffect(() => {
    if (!blob) return setHref(null);
    const made = URL.createObjectURL(blob);
    setHref(made);
    return () => URL.revokeObjectURL(made);
  }, [blob]);
  const keep = useCallback(async () => {
    if (!blob) return;
    await set(nameOf(clientId), blob);
    setKept(true);
  }, [blob, clientId]);
  const drop = useCallback(async () => {
    await del(nameOf(clientId));
    setKept(false);
    setBlob(null);
  }, [clientId]);
  return { href, kept, open: setBlob, keep, drop };
}
