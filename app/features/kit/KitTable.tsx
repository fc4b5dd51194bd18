import { Pressable } from 'react-native';
import { Link } from 'expo-router';
import { depthOf, msg, shadeName, term } from '@toile/core';
import { Figure, Label, Swatch, useColours, View, VirtualList } from '../../ui';
import { leftInWords, type KitRow } from './kitView';
import { COLUMNS, type Column, type Sorting } from './tableView';

type KitTableProps = {
  readonly rows: readonly KitRow[];
  readonly sorting: Sorting | null;
  readonly onSort: (by: Column) => void;
  readonly chosen: ReadonlySet<string>;
  /** Chooses or leaves out; left out where nothing may be done with the chosen. */
  readonly onChoose?: (ids: readonly string[], on: boolean) => void;
  /** The product shown beside. */
  readonly open: string | null;
};

const WIDTHS: Readonly<Record<Column, number>> = {
  product: 0,
  kind: 96,
  finish: 84,
  depth: 56,
  left: 108,
  place: 96,
  state: 108,
};
const ROW_PX = 52;

/** The kit on a wide screen: columns that sort, rows to be chosen and opened beside. */
export function KitTable({ rows, sorting, onSort, chosen, onChoose, open }: KitTableProps) {
  const c = useColours();
  // Beside an open product there is room for what decides.
  const shown =
    open === null ? COLUMNS : COLUMNS.filter((column) => column !== 'finish' && column !== 'place');
  const all = rows.length > 0 && rows.every(({ product }) => chosen.has(product.id));
  return (
    <VirtualList
      label={msg`Products`}
      role="table"
      count={rows.length}
      rowPx={ROW_PX}
      heading={
        <div
          role="row"
          style={{
            position: 'sticky',
            top: 0,
            zIndex: 5,
            display: 'flex',
            alignItems: 'center',
            background: c.background,
            borderBottom: `1px solid ${c.ink}`,
          }}
        >
          <View role="columnheader" width={44}>
            {onChoose ? (
              <Tick
                label={msg`Choose all`}
                on={all}
                onToggle={() =>
                  onChoose(
                    rows.map(({ product }) => product.id),
                    !all,
                  )
                }
              />
            ) : null}
          </View>
          <View role="columnheader" aria-label={msg`colour`} width={48} />
          {shown.map((column) => (
            <div
              key={column}
              role="columnheader"
              aria-sort={sorting?.by === column ? (sorting.down ? 'descending' : 'ascending') : 'none'}
              style={widthOf(column)}
            >
              <Pressable
                role="button"
                aria-label={msg`Sort by ${term(column, 'column')}`}
                onPress={() => onSort(column)}
                style={{ minHeight: 44, justifyContent: 'center' }}
              >
                <Label color="$ink" fontWeight={sorting?.by === column ? '700' : '400'} textAlign="left">
                  {`${term(column, 'column')}${sorting?.by === column ? (sorting.down ? ' ↓' : ' ↑') : ''}`}
                </Label>
              </Pressable>
            </div>
          ))}
        </div>
      }
      render={(i) => {
        const row = rows[i];
        return row ? (
          <TableRow
            row={row}
            columns={shown}
            index={i}
            on={open === row.product.id}
            chosen={chosen.has(row.product.id)}
            onChoose={onChoose ? (on) => onChoose([row.product.id], on) : undefined}
          />
        ) : null;
      }}
    />
  );
}

const widthOf = (column: Column) =>
  WIDTHS[column] === 0 ? { flex: 1, minWidth: 0 } : { width: WIDTHS[column], flexShrink: 0 };

type TableRowProps = {
  readonly row: KitRow;
  readonly columns: readonly Column[];
  readonly index: number;
  readonly on: boolean;
  readonly chosen: boolean;
  readonly onChoose: ((on: boolean) => void) | undefined;
};

function TableRow({ row: { product, units, fact }, columns, index, on, chosen, onChoose }: TableRowProps) {
  const c = useColours();
  const name = shadeName(product);
  const left = units.reduce((sum, u) => sum + u.remainingMg, 0);
  const cells: Readonly<Record<Column, string>> = {
    product: name,
    kind: product.kind,
    finish: product.finish,
    depth: product.lab ? depthOf(product.lab).toFixed(1) : '',
    left: units.length > 0 ? leftInWords({ remainingMg: left }, product) : '',
    place: units.map((u) => u.place).join('; '),
    state: fact,
  };
  return (
    <div
      role="row"
      aria-rowindex={index + 1}
      style={{
        display: 'flex',
        alignItems: 'center',
        minHeight: ROW_PX,
        borderBottom: `1px solid ${c.line}`,
        borderLeft: `4px solid ${on ? c.woad : 'transparent'}`,
        marginLeft: -4,
        background: on || chosen ? c.raised : 'transparent',
      }}
    >
      <View role="cell" width={44}>
        {onChoose ? (
          <Tick label={msg`Choose ${name}`} on={chosen} onToggle={() => onChoose(!chosen)} />
        ) : null}
      </View>
      <View role="cell" width={48} alignItems="flex-start">
        <Swatch
          lab={product.lab}
          size={28}
          label={product.lab ? msg`product colour` : msg`no colour of its own`}
        />
      </View>
      {columns.map((column) => (
        <div key={column} role="cell" style={widthOf(column)}>
          {column === 'product' ? (
            <Link
              href={`/kit?product=${product.id}`}
              aria-current={on ? 'true' : undefined}
              style={{
                display: 'flex',
                flexDirection: 'column',
                justifyContent: 'center',
                minHeight: 48,
                color: c.ink,
                textDecorationLine: 'none',
              }}
            >
              <Figure>{name}</Figure>
              <Label>{product.maker}</Label>
            </Link>
          ) : (
            <Figure fontSize="$2" lineHeight="$2" color="$inkSoft">
              {cells[column]}
            </Figure>
          )}
        </div>
      ))}
    </div>
  );
}

function Tick({
  label,
  on,
  onToggle,
}: {
  readonly label: string;
  readonly on: boolean;
  readonly onToggle: () => void;
}) {
  return (
    <label style={{ display: 'flex', width: 44, height: 44, alignItems: 'center', justifyContent: 'center' }}>
      <input
        type="checkbox"
        aria-label={label}
        checked={on}
        onChange={onToggle}
        style={{ width: 20, height: 20, margin: 0 }}
      />
    </label>
  );
}
