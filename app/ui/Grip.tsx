import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { msg } from '@toile/core';
import { useColours } from './theme';

type GripProps = {
  readonly label: string;
  readonly onStart: () => void;
  /** Pixels down since the start. */
  readonly onDrag: (dy: number) => void;
  readonly onEnd: () => void;
  /** One place up or down by keyboard. */
  readonly onNudge: (by: 1 | -1) => void;
};

/**
 * What a row of a list is taken hold of by, to be moved up or down: 44 px, by finger, mouse or arrow keys.
 */
export function Grip({ label, onStart, onDrag, onEnd, onNudge }: GripProps) {
  const c = useColours();
  const from = useRef<number | null>(null);
  const down = (event: PointerEvent<HTMLButtonElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = event.clientY;
    onStart();
  };
  const up = (): void => {
    if (from.current !== null) onEnd();
    from.current = null;
  };
  const key = (event: KeyboardEvent<HTMLButtonElement>): void => {
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    event.stopPropagation();
    onNudge(event.key === 'ArrowUp' ? -1 : 1);
  };
  return (
    <button
      type="button"
      aria-label={label}
      aria-description={msg`Drag, or arrow keys up and down`}
      onPointerDown={down}
      onPointerMove={(event) => from.current !== null && onDrag(event.clientY - from.current)}
      onPointerUp={up}
      onPointerCancel={up}
      onKeyDown={key}
      style={{
        width: 44,
        height: 52,
        padding: 0,
        border: 'none',
        background: 'transparent',
        cursor: 'grab',
        touchAction: 'none',
        flexShrink: 0,
      }}
    >
      <svg width={16} height={16} aria-hidden>
        {[3, 8, 13].map((y) => (
          <path key={y} d={`M1 ${y}H15`} stroke={c.inkSoft} strokeWidth={1.5} />
        ))}
      </svg>
    </button>
  );
}
