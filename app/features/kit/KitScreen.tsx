import { useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useState } from 'react';
import { COVERAGE_WORDS, FAMILIES, FINISHES, PRODUCT_KINDS, TEXTURES, type Kit } from '@toile/core';
import { may, pathTo } from '@toile/contract';
import { useKit, useSession } from '../../data/hooks';
import {
  Button,
  Choice,
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
} from '../../ui';
import { todayText } from '../words/dates';
import { kitRows, NO_FILTER, STATES, wishesIn, type KitFilter } from './kitView';

/** Everything in the cases: colour, what it is, where it is, until when. */
export function KitScreen() {
  const kit = useKit();
  const session = useSession();
  const router = useRouter();
  const mayEdit = session.data ? may(session.data.role, 'edit') : false;
  return (
    <Screen
      title="Kit"
      foot={
        mayEdit ? (
          <Line flexWrap="nowrap">
            <Button large grow onPress={() => router.navigate('/kit/identify')}>
              Which pan is this?
            </Button>
            <Button large grow kind="main" onPress={() => router.navigate('/kit/new')}>
              Add a product
            </Button>
          </Line>
        ) : undefined
      }
    >
      <Ready remote={kit}>{(data) => <KitView kit={data} mayEdit={mayEdit} />}</Ready>
    </Screen>
  );
}

function KitView({ kit, mayEdit }: { readonly kit: Kit; readonly mayEdit: boolean }) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [filter, setFilter] = useState<KitFilter>(NO_FILTER);
  const [filtering, setFiltering] = useState(false);
  const [files, setFiles] = useState(false);
  const query = useDeferredValue(typed);
  const groups = useMemo(() => kitRows(kit, query, todayText(), filter), [kit, query, filter]);
  const total = groups.reduce((sum, g) => sum + g.rows.length, 0);
  const wishes = wishesIn(filter);
  const set = (more: Partial<KitFilter>): void => setFilter((f) => ({ ...f, ...more }));
  const ways = (
    <Line>
      <Button onPress={() => router.navigate('/kit/map')}>Shade map</Button>
      <Button onPress={() => router.navigate('/kit/palettes')}>Palettes</Button>
      <Button onPress={() => setFiles((f) => !f)}>Files</Button>
      <Button onPress={() => setFiltering((f) => !f)}>
        {wishes > 0 ? `Filter, ${wishes} set` : 'Filter'}
      </Button>
    </Line>
  );
  if (kit.products.length === 0)
    return (
      <Empty
        title="The kit is empty"
        words={
          mayEdit
            ? 'Bring it in from a CSV file, or add the first product by hand.'
            : 'An artist of the studio brings it in.'
        }
      >
        {mayEdit ? (
          <Button kind="main" onPress={() => router.navigate('/kit/import')}>
            Bring in a file
          </Button>
        ) : null}
      </Empty>
    );
  return (
    <Column gap="$4">
      <Field
        label="Find"
        value={typed}
        onChange={setTyped}
        placeholder="Maker, line, shade or kind"
        hint={`${total} of ${kit.products.length} products`}
      />
      {ways}
      {files ? (
        <Column gap="$2" borderWidth={1} borderColor="$line" padding="$3">
          <Line>
            {mayEdit ? <Button onPress={() => router.navigate('/kit/import')}>Bring in CSV</Button> : null}
            <Button onPress={() => window.location.assign(pathTo('exportKit', {}, { as: 'csv' }))}>
              Save as CSV
            </Button>
            <Button onPress={() => window.location.assign(pathTo('exportKit', {}, { as: 'gpl' }))}>
              Save colours as GIMP palette
            </Button>
          </Line>
          <Label>
            CSV holds the whole kit and comes back in as it went out. The palette holds colours and names
            only.
          </Label>
        </Column>
      ) : null}
      {filtering ? (
        <Column gap="$3" borderWidth={1} borderColor="$line" padding="$3">
          <Choice
            label="State"
            several
            options={STATES}
            chosen={filter.states}
            onChange={(states) => set({ states })}
          />
          <Choice
            label="Kind"
            several
            options={PRODUCT_KINDS}
            chosen={filter.kinds}
            onChange={(kinds) => set({ kinds })}
          />
          <Choice
            label="Finish"
            several
            options={FINISHES}
            chosen={filter.finishes}
            onChange={(finishes) => set({ finishes })}
          />
          <Choice
            label="Texture"
            several
            options={TEXTURES}
            chosen={filter.textures}
            onChange={(textures) => set({ textures })}
          />
          <Choice
            label="Coverage"
            several
            options={COVERAGE_WORDS}
            chosen={filter.coverages}
            onChange={(coverages) => set({ coverages })}
          />
          <Choice
            label="Family"
            several
            options={FAMILIES}
            chosen={filter.families}
            onChange={(families) => set({ families })}
          />
          <Button onPress={() => setFilter(NO_FILTER)}>Clear the filter</Button>
        </Column>
      ) : null}
      {groups.length === 0 ? (
        <Empty title="Nothing by that name" words="Try fewer letters, or clear the filter." />
      ) : null}
      {groups.map(({ kind, rows }) => (
        <Column key={kind} gap={0}>
          <Subheading>{`${kind.charAt(0).toUpperCase()}${kind.slice(1)} · ${rows.length}`}</Subheading>
          {rows.map(({ product, units, fact }) => (
            <Row
              key={product.id}
              title={`${product.line} ${product.shade}`}
              detail={[
                product.maker,
                product.coverage,
                product.finish,
                product.texture,
                product.family,
                units.map((u) => u.place).join('; ') || 'in no case',
              ].join(' · ')}
              fact={fact}
              before={
                <Swatch lab={product.lab} label={product.lab ? 'product colour' : 'no colour of its own'} />
              }
              href={`/kit/products/${product.id}`}
            />
          ))}
        </Column>
      ))}
    </Column>
  );
}
