import { useLayoutEffect, useRef, type ReactNode } from 'react';
import { msg } from '@toile/core';
import { Button } from './Button';
import { Column } from './layout';
import { Heading } from './Text';
import { useColours } from './theme';

/**
 * A question in front of everything else, by the browser's own modal dialog: drawn above any scroller, the
 * focus is kept in it and goes back to what opened it. Escape or the ground behind it closes.
 */
export function Dialog({
  title,
  onClose,
  children,
}: {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}) {
  const box = useRef<HTMLDialogElement>(null);
  const c = useColours();
  useLayoutEffect(() => {
    const dialog = box.current;
    dialog?.showModal();
    return () => dialog?.close();
  }, []);
  return (
    <dialog
      ref={box}
      aria-label={title}
      onCancel={(event) => {
        event.preventDefault();
        onClose();
      }}
      // The box itself is filled by its content: what is touched outside of that is the ground behind.
      onClick={(event) => event.target === box.current && onClose()}
      style={{
        width: 'min(480px, calc(100vw - 32px))',
        maxHeight: '85dvh',
        margin: 'auto auto 16px',
        padding: 0,
        overflow: 'auto',
        backgroundColor: c.surface,
        color: c.ink,
        border: `1px solid ${c.ink}`,
      }}
    >
      <Column padding="$4">
        <Heading fontSize="$5" lineHeight="$5">
          {title}
        </Heading>
        {children}
        <Button onPress={onClose}>{msg`Close`}</Button>
      </Column>
    </dialog>
  );
}
