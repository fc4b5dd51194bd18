import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { useColours } from './theme';

type DragTargetProps = {
  readonly label: string;
  /** Its own name, to be found by while it is moved past React. */
  readonly name: string;
  readonly mark: string;
  readonly x: number;
  readonly y: number;
  readonly value: number;
  readonly minimum: number;
  readonly maximum: number;
  readonly unit: string;
  readonly onStart: () => void;
  /** Pixels since the start. */
  readonly onDrag: (dx: number, dy: number) => void;
  /** The finger has let go. */
  readonly onEnd: () => void;
  /** One step up or down by keyboard. */
  readonly onNudge: (by: 1 | -1) => void;
};

/**
 * Something to take hold of, 44 px wide, by finger, mouse or arrow keys. An element of the web: the app's one
 * platform.
 */
export function DragTarget({
  label,
  name,
  mark,
  x,
  y,
  value,
  minimum,
  maximum,
  unit,
  onStart,
  onDrag,
  onEnd,
  onNudge,
}: DragTargetProps) {
  const c = useColours();
  const from = useRef<{ x: number; y: number } | null>(null);
  const down = (event: PointerEvent<HTMLDivElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = { x: event.clientX, y: event.clientY };
    onStart();
  };
  const move = (event: PointerEvent<HTMLDivElement>): void => {
    if (from.current) onDrag(event.clientX - from.current.x, event.clientY - from.current.y);
  };
  const up = (): void => {
    if (from.current) onEnd();
    from.current = null;
  };
  const key = (event: KeyboardEvent<HTMLDivElement>): void => {
    if (event.key === 'ArrowUp' || event.key === 'ArrowRight') onNudge(1);
    else if (event.key === 'ArrowDown' || event.key === 'ArrowLeft') onNudge(-1);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div
      role="slider"
      data-handle={name}
      tabIndex={0}
      aria-label={label}
      aria-valuenow={value}
      aria-valuemin={minimum}
      aria-valuemax={maximum}
      aria-valuetext={`${value} ${unit}`}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={up}
      onKeyDown={key}
      style={{
        position: 'absolute',
        left: x - 22,
        top: y - 22,
        width: 44,
        height: 44,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        touchAction: 'none',
        cursor: 'grab',
        userSelect: 'none',
      }}
    >
      <span
        style={{
          width: 24,
          height: 24,
          boxSizing: 'border-box',
          border: `2px solid ${c.woad}`,
          // Light and dark together stand out on any skin.
          boxShadow: `0 0 0 1px ${c.ink}`,
          background: c.surface,
          color: c.woad,
          fontSize: 14,
          lineHeight: '20px',
          fontWeight: 700,
          textAlign: 'center',
        }}
      >
        {mark}
      </span>
    </div>
  );
}
