import { useRef } from 'react';
import { Button } from './Button';

type FileButtonProps = {
  readonly label: string;
  readonly accept: string;
  readonly children: string;
  readonly kind?: 'main' | 'quiet';
  readonly large?: boolean;
  readonly onFile: (file: File) => void;
};

/** A button that asks for one file; the same file may be chosen twice. */
export function FileButton({ label, accept, children, kind, large, onFile }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        style={{ display: 'none' }}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = '';
          if (chosen) onFile(chosen);
        }}
      />
      <Button kind={kind} large={large} onPress={() => input.current?.click()}>
        {children}
      </Button>
    </>
  );
}
