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
  return (
    <>
      <Button label={label} onPress={() => setOpen(true)}>
        ⋯
      </Button>
      {open ? <MenuDialog label={label} items={items} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

/** The same, opened by something else. */
export function MenuDialog({
  label,
  items,
  onClose,
}: {
  readonly label: string;
  readonly items: readonly MenuItem[];
  readonly onClose: () => void;
}) {
  return (
    <Dialog title={label} onClose={onClose}>
      {items.map(({ words, href, onPress }) => (
        <Button
          key={words}
          href={href}
          onPress={() => {
            onClose();
            onPress?.();
          }}
        >
          {words}
        </Button>
      ))}
    </Dialog>
  );
}
