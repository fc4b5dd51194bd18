import { useState } from 'react';
import {
  KIT_COLUMN_NAMES,
  msg,
  NEEDED_COLUMNS,
  numberTold,
  plural,
  productName,
  term,
  type KitColumn,
  type KitCsv,
} from '@toile/core';
import { Body, Button, Choice, Column, Figure, Label, Line, Subheading, Swatch } from '../../ui';

const SHOWN = 40;

/** Rows that are wrong, with line, column and what is expected. */
export function RowsLeftOut({ read }: { readonly read: KitCsv }) {
  const wrong = read.rows.filter((r) => r.problems.length > 0);
  if (wrong.length === 0) return null;
  return (
    <Column gap="$1" role="group" aria-label={msg`Rows left out`}>
      <Subheading color="$madder">{msg`▲ ${plural(wrong.length)`${wrong.length} row is|${wrong.length} rows are`} left out`}</Subheading>
      {wrong.slice(0, SHOWN).flatMap((row) =>
        row.problems.map((p, i) => (
          <Line key={`${row.line} ${i}`} flexWrap="nowrap" alignItems="flex-start">
            <Figure width={72}>{msg`Line ${row.line}`}</Figure>
            <Body flex={1}>{`${p.column} ${p.message}`}</Body>
          </Line>
        )),
      )}
      {wrong.length > SHOWN ? (
        <Label>{msg`and ${wrong.length - SHOWN} more. Mend the file and choose it again, or go on without them.`}</Label>
      ) : null}
    </Column>
  );
}

/** Which header holds which column; wrong guesses are put right here. */
export function ColumnsMatched({
  read,
  onChange,
}: {
  readonly read: KitCsv;
  readonly onChange: (column: KitColumn, header: string | null) => void;
}) {
  const [open, setOpen] = useState<KitColumn | null>(null);
  const missing = NEEDED_COLUMNS.filter((c) => read.mapping[c] === undefined);
  const [all, setAll] = useState(false);
  const shown = KIT_COLUMN_NAMES.filter((c) => all || missing.includes(c) || open === c);
  if (read.headers.length === 0) return null;
  const matched = KIT_COLUMN_NAMES.filter((c) => read.mapping[c] !== undefined).length;
  return (
    <Column gap="$2">
      <Line justifyContent="space-between">
        <Subheading>{msg`${matched} of ${read.headers.length} columns understood`}</Subheading>
        <Button onPress={() => setAll((a) => !a)}>{all ? msg`Close` : msg`Columns`}</Button>
      </Line>
      {shown.map((column) => (
        <Column key={column} gap="$1">
          <Button
            label={msg`Column for ${term(column, 'column')}`}
            onPress={() => setOpen((o) => (o === column ? null : column))}
          >
            {`${term(column, 'column')}: ${read.mapping[column] ?? msg`not in the file`}`}
          </Button>
          {open === column ? (
            <Choice
              label={msg`Which header holds ${term(column, 'column')}`}
              options={['not in the file', ...read.headers]}
              chosen={[read.mapping[column] ?? 'not in the file']}
              onChange={([header]) => {
                onChange(column, header === undefined || header === 'not in the file' ? null : header);
                setOpen(null);
              }}
            />
          ) : null}
        </Column>
      ))}
    </Column>
  );
}

/** The first rows as they would stand in the kit. */
export function RowsToCome({ read }: { readonly read: KitCsv }) {
  const good = read.rows.filter((r) => r.product !== null);
  if (good.length === 0) return null;
  return (
    <Column gap={0}>
      <Subheading>{msg`As it would stand in the kit`}</Subheading>
      {good.slice(0, 12).map(({ line, product, unit, unitCount, known, takenAsFull }) => (
        <Line
          key={line}
          flexWrap="nowrap"
          gap="$3"
          paddingVertical="$1"
          borderBottomWidth={1}
          borderBottomColor="$line"
        >
          <Swatch lab={product!.lab} size={28} label={msg`colour`} />
          <Column gap={0} flex={1}>
            <Body>{productName(product!)}</Body>
            <Label>
              {[
                term(product!.kind),
                term(product!.finish),
                term(product!.texture),
                unit ? unit.place || msg`a unit` : msg`no unit`,
                unitCount > 1 ? msg`${unitCount} of it` : null,
                takenAsFull ? msg`taken as full` : null,
                known ? knownInWords(unitCount) : null,
              ]
                .filter(Boolean)
                .join(' · ')}
            </Label>
          </Column>
          <Figure color="$inkSoft">{msg`line ${line}`}</Figure>
        </Line>
      ))}
      {good.length > 12 ? <Label>{msg`and ${numberTold(good.length - 12)} more`}</Label> : null}
    </Column>
  );
}

/** What a row adds of a product the kit has. */
function knownInWords(unitCount: number): string {
  if (unitCount === 0) return msg`already in the kit`;
  return msg`already in the kit: only its ${plural(unitCount)`unit is|units are`} added`;
}
