import { useState } from 'react';
import { Button } from './Button';
import { Dialog } from './Dialog';

export type MenuItem = {
  readonly words: string;
  readonly onPress?: () => void;
  readonly href?: string;
};

/** What is done rarely, behind one button. */
export function Menu({ label, items }: { readonly label: string; readonly items: readonly MenuItem[] }) {
  const [open, setOpen] = useState(false);
  const close = (): void => setOpen(false);
  return (
    <>
      <Button label={label} onPress={() => setOpen(true)}>
        ⋯
      </Button>
      {open ? (
        <Dialog title={label} onClose={close}>
          {items.map(({ words, href, onPress }) => (
            <Button
              key={words}
              href={href}
              onPress={() => {
                close();
                onPress?.();
              }}
            >
              {words}
            </Button>
          ))}
        </Dialog>
      ) : null}
    </>
  );
}
