import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import {
  ARRANGEMENTS,
  arrangePalette,
  cellName,
  movePan,
  msg,
  panAt,
  productFinder,
  productName,
  shadeName,
  term,
  type Arrangement,
  type Cell,
  type Palette,
  type Product,
} from '@toile/core';
import { may, pathTo, type PaletteAnswer } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { useKit, usePalettes, useRefresh, useSession } from '../../data/hooks';
import { useBegun } from '../../data/useBegun';
import {
  Body,
  Button,
  Column,
  Empty,
  Field,
  Label,
  Line,
  Ready,
  Row,
  Screen,
  Subheading,
  Swatch,
  useWide,
  View,
} from '../../ui';
import { PaletteGrid } from './PaletteGrid';

/** One compact: which pan is which, moved by finger or keys, arranged, labelled. */
export function PaletteScreen({ id }: { readonly id: string }) {
  const palettes = usePalettes();
  const kit = useKit();
  const router = useRouter();
  const found = palettes.data?.find((p) => p.palette.id === id);
  if (found && kit.data) return <Open key={id} newest={found} products={kit.data.products} />;
  return (
    <Screen title={msg`Palette`} onBack={() => router.navigate('/kit/palettes')}>
      <Ready remote={palettes}>
        {() =>
          found ? null : <Empty title={msg`No such palette`} words={msg`It may belong to another studio.`} />
        }
      </Ready>
    </Screen>
  );
}

/** The place a printed code names, as 'B3'. */
function cellNamed(name: string | undefined, palette: Palette): Cell | null {
  const pan = palette.pans.find((p) => cellName(p) === name);
  return pan ? { row: pan.row, column: pan.column } : null;
}

/** The pans as moved, and how they lay before each move. */
type Work = { readonly palette: Palette; readonly past: readonly Palette[] };

function Open({
  newest,
  products,
}: {
  readonly newest: PaletteAnswer;
  readonly products: readonly Product[];
}) {
  const router = useRouter();
  const refresh = useRefresh();
  const wide = useWide();
  const session = useSession();
  const mayEdit = session.data ? may(session.data.role, 'edit') : false;
  const { pan: asked } = useLocalSearchParams<{ pan?: string }>();
  const {
    begun,
    work,
    setWork,
    changed,
    begin,
    kept: keptAs,
  } = useBegun({
    newest,
    stampOf: ({ revision }) => revision,
    workOf: (answer): Work => ({ palette: answer.palette, past: [] }),
    same: (one, answer) => JSON.stringify(one.palette) === JSON.stringify(answer.palette),
  });
  const { palette, past } = work;
  const [cell, setCell] = useState<Cell>(() => cellNamed(asked, palette) ?? { row: 0, column: 0 });
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const change = (next: Palette): void => {
    if (next === palette) return;
    setWork({ palette: next, past: [...past, palette] });
  };
  const undo = (): void => {
    const before = past.at(-1);
    if (!before) return;
    setWork({ palette: before, past: past.slice(0, -1) });
  };
  const save = async (): Promise<void> => {
    setBusy(true);
    setFailure(null);
    try {
      const kept = await call('updatePalette', {
        params: { id: palette.id },
        body: { palette },
        revision: begun.revision,
      });
      keptAs(work, kept);
      await refresh();
    } catch (error) {
      const stale = error instanceof CallError && error.problem?.code === 'stale';
      setFailure(
        stale
          ? msg`Someone else changed this palette. Undo all to see theirs, then change it again.`
          : error instanceof CallError
            ? error.message
            : msg`Something went wrong. Try again.`,
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <Screen
      title={palette.name}
      above={msg`Palette`}
      onBack={() => router.navigate('/kit/palettes')}
      foot={
        changed ? (
          <Column gap="$2">
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Line flexWrap="nowrap">
              <Button large onPress={undo} disabled={past.length === 0}>{msg`Undo`}</Button>
              <Button
                large
                onPress={() => {
                  begin(newest);
                  setFailure(null);
                  if (failure) void refresh();
                }}
              >{msg`Undo all`}</Button>
              <Button
                large
                grow
                kind="main"
                disabled={busy}
                onPress={() => void save()}
              >{msg`Save the palette`}</Button>
            </Line>
          </Column>
        ) : (
          <Button
            large
            kind="main"
            onPress={() => window.location.assign(pathTo('paletteLabels', { id: palette.id }))}
          >{msg`Print labels`}</Button>
        )
      }
    >
      <View flexDirection={wide ? 'row' : 'column'} gap="$4">
        <Column flex={wide ? 1 : undefined}>
          <PaletteGrid
            palette={palette}
            products={products}
            chosen={cell}
            editable={mayEdit}
            onChoose={setCell}
            onMove={(from, to) => change(movePan(palette, from, to))}
          />
          {mayEdit ? (
            <Line>
              {ARRANGEMENTS.map((by: Arrangement) => (
                <Button key={by} onPress={() => change(arrangePalette(palette, products, by))}>
                  {by === 'order of use' ? msg`Arrange by order of use` : msg`Arrange light to dark`}
                </Button>
              ))}
            </Line>
          ) : null}
          <Label>{msg`Drag a pan to its place. By keys: arrows choose, Shift with an arrow moves the pan; two pans change places.`}</Label>
        </Column>
        <Column width={wide ? 380 : '100%'}>
          <PanPanel palette={palette} products={products} cell={cell} editable={mayEdit} onChange={change} />
        </Column>
      </View>
    </Screen>
  );
}

type PanPanelProps = {
  readonly palette: Palette;
  readonly products: readonly Product[];
  readonly cell: Cell;
  readonly editable: boolean;
  readonly onChange: (palette: Palette) => void;
};

/** The chosen place: what lies in it, or what to put there. */
function PanPanel({ palette, products, cell, editable, onChange }: PanPanelProps) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const pan = panAt(palette, cell);
  const product = products.find((p) => p.id === pan?.productId);
  const held = useMemo(() => new Set(palette.pans.map((p) => p.productId)), [palette]);
  const found =
    typed.trim() === ''
      ? []
      : products
          .filter((p) => !held.has(p.id))
          .filter(productFinder(typed))
          .slice(0, 6);
  const put = (productId: string): void => {
    onChange({ ...palette, pans: [...palette.pans.filter((p) => p !== pan), { ...cell, productId }] });
    setTyped('');
  };
  return (
    <Column gap="$2" aria-live="polite">
      <Subheading fontSize="$4">{msg`Place ${cellName(cell)}`}</Subheading>
      {product ? (
        <>
          <Line flexWrap="nowrap" gap="$3">
            <Swatch lab={product.lab} size={64} label={msg`pan colour`} />
            <Column gap={0} flex={1}>
              <Body fontWeight="700">{shadeName(product)}</Body>
              <Label>
                {[product.maker, term(product.kind), term(product.finish), term(product.texture)].join(' · ')}
              </Label>
            </Column>
          </Line>
          <Line>
            <Button onPress={() => router.navigate(`/kit/products/${product.id}`)}>{msg`Open it`}</Button>
            {editable ? (
              <Button
                onPress={() => onChange({ ...palette, pans: palette.pans.filter((p) => p !== pan) })}
              >{msg`Take it out`}</Button>
            ) : null}
          </Line>
        </>
      ) : (
        <Body color="$inkSoft">{msg`Empty.`}</Body>
      )}
      {editable ? (
        <>
          <Field
            label={product ? msg`Put another here` : msg`Put a product here`}
            value={typed}
            onChange={setTyped}
            placeholder={msg`Line, shade or kind`}
          />
          {found.map((p) => (
            <Row
              key={p.id}
              title={shadeName(p)}
              detail={`${p.maker}, ${term(p.kind)}`}
              before={<Swatch lab={p.lab} size={28} />}
              label={msg`Put ${productName(p)} in ${cellName(cell)}`}
              onPress={() => put(p.id)}
            />
          ))}
          {typed.trim() !== '' && found.length === 0 ? (
            <Label>{msg`Nothing by that name that is not in the palette already.`}</Label>
          ) : null}
        </>
      ) : null}
    </Column>
  );
}
