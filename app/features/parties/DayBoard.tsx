import { useRef, useState, type KeyboardEvent } from 'react';
import { msg, type Visit } from '@toile/core';
import { Body, Column, Label, MenuDialog, useColours } from '../../ui';
import { groupsOf, type Row } from './partyView';
import type { DayWork } from './useDay';
import { visitItems } from './VisitMenu';
import { hourInWords } from '../words/dates';

const HOUR_WIDTH = 132;
const ROW_HEIGHT = 64;
const NAME_WIDTH = 132;
const HEAD_HEIGHT = 32;
/** A finger that moved less meant to touch, px. */
const STILL = 4;

type Drag = {
  readonly key: string;
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
};

/** A name in little room: 'Zenobia A.'. */
function shortly(name: string): string {
  const [first = name, ...more] = name.split(' ');
  const last = more.at(-1);
  return last ? `${first} ${last[0]}.` : first;
}

/**
 * The whole day at once: a row for each pair of hands, time to the right. A visit is dragged in time and to
 * other hands, or moved with the arrow keys; Enter opens what else can be done.
 */
export function DayBoard({ day }: { readonly day: DayWork }) {
  const c = useColours();
  const [drag, setDrag] = useState<Drag | null>(null);
  const [open, setOpen] = useState<Row | null>(null);
  const dragged = useRef(false);
  const { plan, shown, judged, move, hold } = day;
  if (!shown) return null;
  const groups = groupsOf(plan, shown, 'hands');
  const ends = [
    ...shown.visits.map((v) => v.start + v.minutes),
    ...plan.guests.map((guest) => guest.readyBy),
  ];
  const begins = [...plan.hands.map((hands) => hands.arrives), ...shown.visits.map((v) => v.start)];
  const first = Math.floor(Math.min(...begins) / 60) * 60;
  const last = Math.ceil(Math.max(...ends) / 60) * 60;
  const placeOf = ({ visit }: Row): number =>
    2 * plan.guests.findIndex((guest) => guest.id === visit.of) + (visit.task.endsWith('.hair') ? 0 : 1);
  const at = (minute: number): number => NAME_WIDTH + ((minute - first) / 60) * HOUR_WIDTH;
  const topOf = (row: number): number => HEAD_HEIGHT + row * ROW_HEIGHT;
  const troubled = new Set(judged?.conflicts.flatMap((conflict) => conflict.about) ?? []);

  /** A visit on the hands so many rows further; nothing where they may not. */
  const onRow = (visit: Visit, rows: number): Partial<Visit> | null => {
    const from = plan.hands.findIndex((hands) => hands.id === visit.worker);
    const hands = plan.hands[from + rows];
    const task = day.day.people
      .find((one) => one.id === visit.of)
      ?.ways.flatMap((way) => way.tasks)
      .find((one) => one.id === visit.task);
    const minutes = hands && task?.by[hands.id];
    return rows !== 0 && hands && minutes ? { worker: hands.id, minutes } : null;
  };
  /** The next hands up or down that may. */
  const next = (visit: Visit, way: 1 | -1): Partial<Visit> | null =>
    plan.hands.map((_, i) => onRow(visit, way * (i + 1))).find((change) => change !== null) ?? null;

  const drop = ({ visit }: Row): void => {
    if (!drag) return;
    const minutes = Math.round(((drag.dx / HOUR_WIDTH) * 60) / plan.grid) * plan.grid;
    const other = onRow(visit, Math.round(drag.dy / ROW_HEIGHT));
    if (minutes !== 0 || other) move(visit, { start: visit.start + minutes, ...other });
    setDrag(null);
  };
  const key = (event: KeyboardEvent, { visit }: Row): void => {
    const moves: Record<string, () => Partial<Visit> | null> = {
      ArrowLeft: () => ({ start: visit.start - plan.grid }),
      ArrowRight: () => ({ start: visit.start + plan.grid }),
      ArrowUp: () => next(visit, -1),
      ArrowDown: () => next(visit, 1),
    };
    const change = moves[event.key]?.();
    if (event.key in moves) event.preventDefault();
    if (change) move(visit, change);
    else if (event.key === 'h') hold(visit);
  };

  return (
    <Column gap="$2">
      <div
        style={{ overflowX: 'auto', border: `1px solid ${c.line}` }}
        role="group"
        aria-label={msg`The day by hands`}
      >
        <div style={{ position: 'relative', width: at(last) + 24, height: topOf(groups.length) }}>
          {Array.from({ length: (last - first) / 60 + 1 }, (_, i) => first + i * 60).map((full) => (
            <div
              key={full}
              aria-hidden
              style={{
                position: 'absolute',
                left: at(full),
                top: 0,
                bottom: 0,
                borderLeft: `1px solid ${c.line}`,
                paddingLeft: 4,
              }}
            >
              <Label fontSize="$1">{hourInWords(full)}</Label>
            </div>
          ))}
          {groups.map((group, i) => (
            <div
              key={group.id}
              style={{
                position: 'absolute',
                left: 0,
                top: topOf(i),
                width: NAME_WIDTH - 8,
                height: ROW_HEIGHT,
                display: 'flex',
                alignItems: 'center',
                borderTop: `1px solid ${c.line}`,
                paddingLeft: 8,
                boxSizing: 'border-box',
              }}
            >
              <Body numberOfLines={2}>{group.title}</Body>
            </div>
          ))}
          {plan.hands.flatMap((hands, i) =>
            (hands.away ?? [])
              .filter(({ from, to }) => from < last && to > first)
              .map(({ from, to, title }) => (
                <div
                  key={`${hands.id} ${from} ${title}`}
                  title={title}
                  style={{
                    position: 'absolute',
                    left: at(Math.max(first, from)),
                    top: topOf(i) + 6,
                    width: at(Math.min(last, to)) - at(Math.max(first, from)),
                    height: ROW_HEIGHT - 12,
                    border: `1px dashed ${c.line}`,
                    boxSizing: 'border-box',
                    overflow: 'hidden',
                  }}
                >
                  <Label fontSize="$1">{msg`away`}</Label>
                </div>
              )),
          )}
          {/* In the order of the people, whoever does them and when: what is moved keeps the focus. */}
          {groups
            .flatMap((group, i) => group.rows.map((row) => ({ row, i })))
            .sort((a, b) => placeOf(a.row) - placeOf(b.row))
            .map(({ row, i }) => {
              const lifted = drag?.key === row.key ? drag : null;
              const inTheWay = troubled.has(row.key);
              const wrong = inTheWay || row.late;
              const said = [
                row.words,
                row.time,
                row.held && 'held',
                row.late && 'late',
                inTheWay && msg`in the way of something`,
              ];
              return (
                <button
                  key={row.key}
                  type="button"
                  aria-label={said.filter(Boolean).join(', ')}
                  title={row.words}
                  onKeyDown={(event) => key(event, row)}
                  // A click by key has no count; one that ends a drag is none.
                  onClick={(event) => (event.detail === 0 || !dragged.current) && setOpen(row)}
                  onPointerDown={(event) => {
                    event.currentTarget.setPointerCapture(event.pointerId);
                    dragged.current = false;
                    setDrag({ key: row.key, x: event.clientX, y: event.clientY, dx: 0, dy: 0 });
                  }}
                  onPointerMove={(event) => {
                    if (!lifted) return;
                    const [dx, dy] = [event.clientX - lifted.x, event.clientY - lifted.y];
                    if (Math.hypot(dx, dy) > STILL) dragged.current = true;
                    setDrag({ ...lifted, dx, dy });
                  }}
                  onPointerUp={() => drop(row)}
                  onPointerCancel={() => setDrag(null)}
                  style={{
                    position: 'absolute',
                    left: at(row.visit.start) + (lifted?.dx ?? 0),
                    top: topOf(i) + 6 + (lifted?.dy ?? 0),
                    width: Math.max(24, (row.visit.minutes / 60) * HOUR_WIDTH - 2),
                    height: ROW_HEIGHT - 12,
                    padding: '2px 6px',
                    textAlign: 'left',
                    overflow: 'hidden',
                    touchAction: 'none',
                    cursor: 'grab',
                    zIndex: lifted ? 2 : 1,
                    backgroundColor: c.surface,
                    color: c.ink,
                    border: wrong ? `2px solid ${c.madder}` : `1px solid ${c.ink}`,
                    borderBottomWidth: row.held ? 5 : wrong ? 2 : 1,
                    font: '15px Atkinson, sans-serif',
                  }}
                >
                  <div style={{ whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' }}>
                    {`${wrong ? '▲ ' : ''}${row.held ? '■ ' : ''}${shortly(row.words.split(',')[0]!)}`}
                  </div>
                  <span style={{ color: c.inkSoft }}>{hourInWords(row.visit.start)}</span>
                </button>
              );
            })}
        </div>
      </div>
      <Label>{msg`Drag a visit, or move it with the arrow keys; h holds it, Enter shows more. ■ is held, ▲ is late or in the way.`}</Label>
      {open ? (
        <MenuDialog label={open.words} items={visitItems(open.visit, day)} onClose={() => setOpen(null)} />
      ) : null}
    </Column>
  );
}
