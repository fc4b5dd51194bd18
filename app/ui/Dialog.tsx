import { useEffect, type ReactNode } from 'react';
import { Button } from './Button';
import { Column } from './layout';
import { Heading } from './Text';

/** A question in front of everything else; Escape or the ground behind it closes. */
export function Dialog({
  title,
  onClose,
  children,
}: {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') onClose();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onClose]);
  return (
    <>
      <div
        aria-hidden
        onClick={onClose}
        style={{ position: 'fixed', inset: 0, backgroundColor: '#000000aa', zIndex: 100 }}
      />
      <Column
        role="dialog"
        aria-label={title}
        style={{
          position: 'fixed',
          left: 16,
          right: 16,
          bottom: 16,
          marginLeft: 'auto',
          marginRight: 'auto',
          maxWidth: 480,
          maxHeight: '80%',
          overflow: 'auto',
          zIndex: 101,
        }}
        backgroundColor="$surface"
        borderWidth={1}
        borderColor="$ink"
        padding="$4"
      >
        <Heading fontSize="$5" lineHeight="$5">
          {title}
        </Heading>
        {children}
        <Button onPress={onClose}>Close</Button>
      </Column>
    </>
  );
}
