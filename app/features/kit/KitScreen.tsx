import { useLocalSearchParams, useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useState } from 'react';
import { msg, plural } from '@toile/core';
import { may, pathTo, type KitAnswer } from '@toile/contract';
import { useKit, useSession } from '../../data/hooks';
import { useKept } from '../../data/useKept';
import { Button, Column, Empty, Field, Label, Line, Ready, Screen, useRoomy, View } from '../../ui';
import { todayText } from '../words/dates';
import { ChosenProducts } from './ChosenProducts';
import { KindsToFill } from './KindsToFill';
import { KitFilters } from './KitFilters';
import { KitList } from './KitList';
import { KitTable } from './KitTable';
import { kitRows, NO_FILTER, wishesIn, type KitFilter } from './kitView';
import { ProductScreen } from './ProductScreen';
import { sortedBy, sortRows, type Sorting } from './tableView';
import { productsToRead, readInWords } from './toRead';

/** Everything in the cases: colour, what it is, where it is, until when. */
export function KitScreen() {
  const kit = useKit();
  const session = useSession();
  const router = useRouter();
  const roomy = useRoomy();
  const { product } = useLocalSearchParams<{ product?: string }>();
  const mayEdit = session.data ? may(session.data.role, 'edit') : false;
  const place = (
    <Screen
      title={msg`Kit`}
      fill
      foot={
        mayEdit ? (
          <Line flexWrap="nowrap">
            <Button
              large
              grow
              onPress={() => router.navigate('/kit/identify')}
            >{msg`Which pan is this?`}</Button>
            <Button
              large
              grow
              kind="main"
              onPress={() => router.navigate('/kit/new')}
            >{msg`Add a product`}</Button>
          </Line>
        ) : undefined
      }
    >
      <Ready remote={kit}>
        {(data) => <KitView kit={data} mayEdit={mayEdit} open={roomy ? (product ?? null) : null} />}
      </Ready>
    </Screen>
  );
  if (!roomy || product === undefined) return place;
  return (
    <View flex={1} flexDirection="row" minHeight={0}>
      {place}
      <View width={400} minHeight={0} borderLeftWidth={1} borderLeftColor="$line">
        <ProductScreen key={product} id={product} narrow />
      </View>
    </View>
  );
}

type KitViewProps = {
  readonly kit: KitAnswer;
  readonly mayEdit: boolean;
  /** The product shown beside. */
  readonly open: string | null;
};

function KitView({ kit, mayEdit, open }: KitViewProps) {
  const roomy = useRoomy();
  const [typed, setTyped] = useKept('kit words', '');
  const [filter, setFilter] = useKept<KitFilter>('kit filter', NO_FILTER);
  const [sorting, setSorting] = useKept<Sorting | null>('kit order', null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const query = useDeferredValue(typed);
  const groups = useMemo(() => kitRows(kit, query, todayText(), filter), [kit, query, filter]);
  const rows = useMemo(
    () =>
      sortRows(
        groups.flatMap((g) => g.rows),
        sorting,
      ),
    [groups, sorting],
  );
  const unread = useMemo(() => productsToRead(kit).length, [kit]);
  if (kit.products.length === 0) return <NoKit mayEdit={mayEdit} />;
  const above = (
    <Column gap="$3" paddingBottom="$2">
      <Field
        label={msg`Find`}
        value={typed}
        onChange={setTyped}
        placeholder={msg`Maker, line, shade or kind`}
        hint={plural(
          kit.products.length,
        )`${rows.length} of one product|${rows.length} of ${kit.products.length} products`}
      />
      {mayEdit && unread > 0 ? (
        <Line>
          <Button href="/kit/colours">{readInWords(unread)}</Button>
          <Label
            flex={1}
          >{msg`Nobody has read them yet: nothing that lies as skin is proposed of them.`}</Label>
        </Line>
      ) : null}
      <Ways filter={filter} onFilter={setFilter} mayEdit={mayEdit} />
      {mayEdit ? <KindsToFill kit={kit} /> : null}
      {rows.length === 0 ? (
        <Empty title={msg`Nothing by that name`} words={msg`Try fewer letters, or clear the filter.`} />
      ) : null}
    </Column>
  );
  if (!roomy) return <KitList groups={groups} header={above} />;
  const choose = (ids: readonly string[], on: boolean): void =>
    setChosen((now) => new Set(on ? [...now, ...ids] : [...now].filter((id) => !ids.includes(id))));
  return (
    <View flex={1} minHeight={0}>
      {above}
      {chosen.size > 0 ? (
        <ChosenProducts kit={kit} chosen={chosen} onLeave={() => setChosen(new Set())} />
      ) : null}
      <KitTable
        rows={rows}
        sorting={sorting}
        onSort={(by) => setSorting((now) => sortedBy(now, by))}
        chosen={chosen}
        onChoose={mayEdit ? choose : undefined}
        open={open}
      />
    </View>
  );
}

type WaysProps = {
  readonly filter: KitFilter;
  readonly onFilter: (filter: KitFilter) => void;
  readonly mayEdit: boolean;
};

/** Other ways to look at the kit, its files and what of it is shown. */
function Ways({ filter, onFilter, mayEdit }: WaysProps) {
  const router = useRouter();
  const [shown, setShown] = useState<'files' | 'filter' | null>(null);
  const toggle = (what: 'files' | 'filter') => () => setShown((now) => (now === what ? null : what));
  const wishes = wishesIn(filter);
  return (
    <>
      <Line>
        <Button onPress={() => router.navigate('/kit/map')}>{msg`Shade map`}</Button>
        <Button onPress={() => router.navigate('/kit/palettes')}>{msg`Palettes`}</Button>
        <Button onPress={toggle('files')}>{msg`Files`}</Button>
        <Button onPress={toggle('filter')}>{wishes > 0 ? msg`Filter, ${wishes} set` : msg`Filter`}</Button>
      </Line>
      {shown === 'files' ? (
        <Column gap="$2" borderWidth={1} borderColor="$line" padding="$3">
          <Line>
            {mayEdit ? (
              <Button onPress={() => router.navigate('/kit/import')}>{msg`Bring in CSV`}</Button>
            ) : null}
            <Button
              onPress={() => window.location.assign(pathTo('exportKit', {}, { as: 'csv' }))}
            >{msg`Save as CSV`}</Button>
            <Button
              onPress={() => window.location.assign(pathTo('exportKit', {}, { as: 'gpl' }))}
            >{msg`Save colours as GIMP palette`}</Button>
          </Line>
          <Label>{msg`CSV holds the whole kit and comes back in as it went out. The palette holds colours and names only.`}</Label>
        </Column>
      ) : null}
      {shown === 'filter' ? <KitFilters filter={filter} onChange={onFilter} /> : null}
    </>
  );
}

function NoKit({ mayEdit }: { readonly mayEdit: boolean }) {
  const router = useRouter();
  return (
    <Empty
      title={msg`The kit is empty`}
      words={
        mayEdit
          ? msg`Bring it in from a CSV file, or add the first product by hand.`
          : msg`An artist of the studio brings it in.`
      }
    >
      {mayEdit ? (
        <Button kind="main" onPress={() => router.navigate('/kit/import')}>{msg`Bring in a file`}</Button>
      ) : null}
      {mayEdit ? <KindsToFill kit={{ products: [] }} /> : null}
    </Empty>
  );
}
