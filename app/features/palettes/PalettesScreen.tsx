import { useRouter } from 'expo-router';
import { useState } from 'react';
import { labToHex, msg, plural, panAt, type Kit, type Palette } from '@toile/core';
import { may, newId } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { useKit, usePalettes, useRefresh, useSession } from '../../data/hooks';
import { Body, Button, Column, Empty, Field, Line, Ready, Row, Screen, Stepper, View } from '../../ui';

/** The studio's compacts, each small as it lies. */
export function PalettesScreen() {
  const palettes = usePalettes();
  const kit = useKit();
  const router = useRouter();
  const session = useSession();
  const [adding, setAdding] = useState(false);
  const mayEdit = session.data ? may(session.data.role, 'edit') : false;
  return (
    <Screen
      title={msg`Palettes`}
      onBack={() => router.navigate('/kit')}
      widest={760}
      foot={
        mayEdit && !adding ? (
          <Button kind="main" large onPress={() => setAdding(true)}>{msg`Add a palette`}</Button>
        ) : undefined
      }
    >
      {adding ? <NewPalette onClose={() => setAdding(false)} /> : null}
      <Ready remote={palettes}>
        {(list) =>
          list.length === 0 ? (
            <Empty
              title={msg`No palettes yet`}
              words={msg`Pans lose their names inside a compact. Give each compact a grid, and every pan its place.`}
            />
          ) : (
            <Column gap={0}>
              {list.map(({ palette }) => (
                <Row
                  key={palette.id}
                  title={palette.name}
                  detail={msg`${palette.rows} rows of ${palette.columns}`}
                  fact={plural(palette.pans.length)`one pan|${palette.pans.length} pans`}
                  before={<Small palette={palette} kit={kit.data} />}
                  href={`/kit/palettes/${palette.id}`}
                />
              ))}
            </Column>
          )
        }
      </Ready>
    </Screen>
  );
}

function Small({ palette, kit }: { readonly palette: Palette; readonly kit: Kit | undefined }) {
  const size = Math.floor(72 / Math.max(palette.columns, palette.rows));
  return (
    <View width={80} backgroundColor="$judged" padding={4} gap={1}>
      {Array.from({ length: palette.rows }, (_, row) => (
        <View key={row} flexDirection="row" gap={1}>
          {Array.from({ length: palette.columns }, (_unused, column) => {
            const lab = kit?.products.find((p) => p.id === panAt(palette, { row, column })?.productId)?.lab;
            return (
              <View
                key={column}
                width={size}
                height={size}
                backgroundColor={lab ? labToHex(lab) : undefined}
                borderWidth={lab ? 0 : 1}
                borderColor="$line"
              />
            );
          })}
        </View>
      ))}
    </View>
  );
}

function NewPalette({ onClose }: { readonly onClose: () => void }) {
  const router = useRouter();
  const refresh = useRefresh();
  const [id] = useState(newId);
  const [name, setName] = useState('');
  const [rows, setRows] = useState(3);
  const [columns, setColumns] = useState(4);
  const [error, setError] = useState<string | undefined>();
  const add = async (): Promise<void> => {
    if (name.trim() === '') return setError(msg`Write a name`);
    try {
      const palette: Palette = { id, name: name.trim().slice(0, 200), rows, columns, pans: [] };
      await call('createPalette', { body: { palette }, idempotencyKey: id });
      await refresh();
      router.navigate(`/kit/palettes/${id}`);
    } catch (failed) {
      setError(failed instanceof CallError ? failed.message : msg`Something went wrong. Try again.`);
    }
  };
  return (
    <Column gap="$3" borderWidth={1} borderColor="$line" padding="$3" marginBottom="$4">
      <Field
        label={msg`Name`}
        value={name}
        onChange={setName}
        error={error}
        placeholder={msg`Eyes, everyday`}
        onSubmit={() => void add()}
      />
      <Line gap="$4">
        <Stepper
          label={msg`Rows`}
          value={rows}
          unit=""
          minimum={1}
          maximum={12}
          step={1}
          onChange={setRows}
        />
        <Stepper
          label={msg`Columns`}
          value={columns}
          unit=""
          minimum={1}
          maximum={12}
          step={1}
          onChange={setColumns}
        />
      </Line>
      <Line flexWrap="nowrap">
        <Button onPress={onClose}>{msg`Not now`}</Button>
        <Button grow kind="main" onPress={() => void add()}>{msg`Add it`}</Button>
      </Line>
      <Body color="$inkSoft">{msg`Rows are lettered from the top, columns numbered from the left: A1 is the upper left.`}</Body>
    </Column>
  );
}
