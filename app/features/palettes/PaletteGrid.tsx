import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { cellName, labToHex, msg, panAt, type Cell, type Palette, type Product } from '@toile/core';
import { useColours } from '../../ui';

type PaletteGridProps = {
  readonly palette: Palette;
  readonly products: readonly Pick<Product, 'id' | 'line' | 'shade' | 'lab'>[];
  readonly chosen: Cell;
  readonly editable: boolean;
  readonly onChoose: (cell: Cell) => void;
  readonly onMove: (from: Cell, to: Cell) => void;
};

const STEPS: Readonly<Record<string, readonly [row: number, column: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};
const same = (a: Cell, b: Cell): boolean => a.row === b.row && a.column === b.column;
/** Further than this a touch is a drag, px. */
const DRAG_FROM = 6;

/**
 * The compact as a grid: arrows choose a place, Shift with an arrow moves its pan, a finger or mouse drags
 * it. An element of the web.
 */
export function PaletteGrid({ palette, products, chosen, editable, onChoose, onMove }: PaletteGridProps) {
  const c = useColours();
  const cells = useRef(new Map<string, HTMLElement>());
  const drag = useRef<{ from: Cell; x: number; y: number } | null>(null);
  const [over, setOver] = useState<Cell | null>(null);
  const [held, setHeld] = useState(false);
  const focusNext = useRef(false);
  useEffect(() => {
    if (!focusNext.current) return;
    focusNext.current = false;
    cells.current.get(cellName(chosen))?.focus();
  }, [chosen]);
  const onKey = (event: KeyboardEvent, cell: Cell): void => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    const to = { row: cell.row + step[0], column: cell.column + step[1] };
    if (to.row < 0 || to.column < 0 || to.row >= palette.rows || to.column >= palette.columns) return;
    if (event.shiftKey && editable && panAt(palette, cell)) onMove(cell, to);
    focusNext.current = true;
    onChoose(to);
  };
  const cellUnder = (event: PointerEvent): Cell | null => {
    for (const [name, element] of cells.current) {
      const box = element.getBoundingClientRect();
      if (
        event.clientX >= box.left &&
        event.clientX < box.right &&
        event.clientY >= box.top &&
        event.clientY < box.bottom
      )
        return { row: name.charCodeAt(0) - 65, column: Number(name.slice(1)) - 1 };
    }
    return null;
  };
  const down = (event: PointerEvent<HTMLElement>, cell: Cell): void => {
    onChoose(cell);
    if (!editable || !panAt(palette, cell)) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { from: cell, x: event.clientX, y: event.clientY };
  };
  const move = (event: PointerEvent): void => {
    if (!drag.current) return;
    if (!held && Math.hypot(event.clientX - drag.current.x, event.clientY - drag.current.y) < DRAG_FROM)
      return;
    setHeld(true);
    setOver(cellUnder(event));
  };
  const up = (event: PointerEvent): void => {
    const from = drag.current?.from;
    const to = held ? cellUnder(event) : null;
    drag.current = null;
    setHeld(false);
    setOver(null);
    if (from && to && !same(from, to)) {
      onMove(from, to);
      onChoose(to);
    }
  };
  return (
    <div
      role="grid"
      aria-label={msg`${palette.name}, ${palette.rows} rows of ${palette.columns}`}
      style={{ background: c.judged, padding: 8, display: 'flex', flexDirection: 'column', gap: 6 }}
    >
      {Array.from({ length: palette.rows }, (_, row) => (
        <div key={row} role="row" style={{ display: 'flex', gap: 6 }}>
          {Array.from({ length: palette.columns }, (_unused, column) => {
            const cell = { row, column };
            const name = cellName(cell);
            const product = products.find((p) => p.id === panAt(palette, cell)?.productId);
            const on = same(cell, chosen);
            const target = over !== null && same(cell, over);
            return (
              <div
                key={column}
                ref={(element) => {
                  if (element) cells.current.set(name, element);
                  else cells.current.delete(name);
                }}
                role="gridcell"
                tabIndex={on ? 0 : -1}
                aria-selected={on}
                aria-label={
                  product ? [`${name} ${product.shade}`.trim(), product.line].join(', ') : msg`${name}, empty`
                }
                onKeyDown={(event) => onKey(event, cell)}
                onPointerDown={(event) => down(event, cell)}
                onPointerMove={move}
                onPointerUp={up}
                onPointerCancel={up}
                style={{
                  flex: 1,
                  minWidth: 44,
                  minHeight: 72,
                  boxSizing: 'border-box',
                  display: 'flex',
                  flexDirection: 'column',
                  background: product ? c.surface : 'transparent',
                  border: `${on || target ? 3 : 1}px ${product ? 'solid' : 'dashed'} ${target ? c.woad : on ? c.ink : c.inkSoft}`,
                  touchAction: product && editable ? 'none' : 'auto',
                  cursor: product && editable ? 'grab' : 'default',
                  opacity: held && on ? 0.5 : 1,
                  userSelect: 'none',
                  color: c.ink,
                  fontFamily: 'Atkinson, sans-serif',
                  fontSize: 13,
                  lineHeight: '16px',
                  overflow: 'hidden',
                }}
              >
                <div
                  style={{
                    flex: 1,
                    minHeight: 34,
                    background: product?.lab ? labToHex(product.lab) : undefined,
                  }}
                />
                <div style={{ padding: '2px 4px', overflowWrap: 'anywhere' }}>
                  {product ? `${name} ${product.shade || product.line}` : name}
                </div>
              </div>
            );
          })}
        </div>
      ))}
    </div>
  );
}
