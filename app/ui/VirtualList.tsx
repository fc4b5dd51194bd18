import { useVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

type VirtualListProps = {
  readonly label: string;
  readonly count: number;
  /** Height of a row before it has been measured, px. */
  readonly rowPx: number;
  readonly render: (index: number) => ReactNode;
  /** Scrolls away above the rows. */
  readonly header?: ReactNode;
  /** Stays in view above the rows. */
  readonly heading?: ReactNode;
  /** Role of the whole and of its rows; a plain list when left out. */
  readonly role?: 'list' | 'table';
};

/** How far down each list was when it was left, px, by its label. */
const offsets = new Map<string, number>();

/**
 * A list of any length with a scroller of its own, of which only what is in view is drawn; come back to, it
 * is where it was left.
 */
export function VirtualList({
  label,
  count,
  rowPx,
  render,
  header,
  heading,
  role = 'list',
}: VirtualListProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const [above, setAbove] = useState(0);
  useLayoutEffect(() => setAbove(list.current?.offsetTop ?? 0), [header, heading]);
  // What it gives is asked anew at each drawing and kept nowhere: the compiler's warning does not meet this
  // use.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowPx,
    overscan: 8,
    scrollMargin: above,
    initialOffset: () => offsets.get(label) ?? 0,
    onChange: ({ scrollOffset }) => void offsets.set(label, scrollOffset ?? 0),
  });
  return (
    <div
      ref={scroller}
      tabIndex={-1}
      style={{ flex: 1, minHeight: 0, overflow: 'auto', position: 'relative', scrollbarGutter: 'stable' }}
    >
      {header}
      <div role={role} aria-label={label} aria-rowcount={role === 'table' ? count : undefined}>
        {heading}
        <div
          ref={list}
          role={role === 'table' ? 'rowgroup' : undefined}
          style={{ height: rows.getTotalSize(), position: 'relative' }}
        >
          {rows.getVirtualItems().map(({ index, key, start }) => (
            <div
              key={key}
              ref={rows.measureElement}
              data-index={index}
              role={role === 'table' ? undefined : 'listitem'}
              style={{
                position: 'absolute',
                top: 0,
                left: 0,
                right: 0,
                transform: `translateY(${start - above}px)`,
              }}
            >
              {render(index)}
            </div>
          ))}
        </div>
      </div>
    </div>
  );
}
