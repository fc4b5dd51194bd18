import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  depthInWords,
  depthOf,
  flashGradeOf,
  isUnread,
  productName,
  shelfLife,
  undertoneOf,
  type Product,
  type Unit,
} from '@toile/core';
import { may, newId, type KitAnswer } from '@toile/contract';
import { useKit, useProductUses, useSession } from '../../data/hooks';
import {
  Body,
  Button,
  Column,
  Empty,
  Figure,
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
import { labInWords } from '../words/colours';
import { dayInWords, todayText } from '../words/dates';
import { FLASH_WORDS } from '../words/flash';
import { Calibrate } from './Calibrate';
import { formOf } from './productForm';
import { UnitCard } from './UnitCard';
import { UnitForm } from './UnitForm';
import { useSaveProduct } from './useSaveProduct';

type ProductScreenProps = {
  readonly id: string;
  /** Beside the kit, one thing under the other. */
  readonly narrow?: boolean;
};

/** One product: what it is, the units owned, where it is used. */
export function ProductScreen({ id, narrow = false }: ProductScreenProps) {
  const kit = useKit();
  const router = useRouter();
  const product = kit.data?.products.find((p) => p.id === id);
  return (
    <Screen
      title={product ? `${product.line} ${product.shade}` : 'Product'}
      above={product?.maker}
      onBack={() => router.navigate('/kit')}
    >
      <Ready remote={kit}>
        {(data) =>
          product ? (
            <ProductView kit={data} product={product} narrow={narrow} />
          ) : (
            <Empty title="Not in this kit" words="It may have been taken out, or belong to another studio." />
          )
        }
      </Ready>
    </Screen>
  );
}

type ProductViewProps = { readonly kit: KitAnswer; readonly product: Product; readonly narrow: boolean };

function ProductView({ kit, product, narrow }: ProductViewProps) {
  const wide = useWide() && !narrow;
  const session = useSession();
  const mayEdit = session.data ? may(session.data.role, 'edit') : false;
  const units = kit.units.filter((u) => u.productId === product.id);
  const [adding, setAdding] = useState(false);
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap="$5">
      <Column flex={wide ? 1 : undefined} gap="$3">
        <Facts product={product} />
        {mayEdit ? <Actions product={product} revision={kit.revisions[product.id] ?? 1} /> : null}
        {mayEdit && product.lab ? <Calibrate product={product} kit={kit} /> : null}
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$4">
        <Column gap="$2">
          <Line justifyContent="space-between">
            <Subheading>{units.length === 1 ? 'One unit' : `${units.length} units`}</Subheading>
            {mayEdit ? (
              <Button onPress={() => setAdding((a) => !a)}>{adding ? 'Not now' : 'Add a unit'}</Button>
            ) : null}
          </Line>
          {adding ? (
            <UnitForm
              start={newUnit(product)}
              product={product}
              revision={null}
              onDone={() => setAdding(false)}
            />
          ) : null}
          {units.length === 0 && !adding ? (
            <Body color="$inkSoft">None owned: it is proposed last, as something to buy.</Body>
          ) : null}
          {units.map((unit) => (
            <UnitCard
              key={unit.id}
              unit={unit}
              product={product}
              revision={kit.revisions[unit.id] ?? 1}
              mayEdit={mayEdit}
              life={shelfLife(unit, product, todayText())}
            />
          ))}
        </Column>
        <Uses product={product} />
      </Column>
    </View>
  );
}

const newUnit = (product: Product): Unit => ({
  id: newId(),
  productId: product.id,
  openedOn: null,
  remainingMg: Math.round(60 * product.mgPerMeasure),
  place: '',
});

function Facts({ product }: { readonly product: Product }) {
  const { lab } = product;
  const grade = flashGradeOf(product);
  return (
    <Column gap="$2">
      {product.withdrawn ? (
        <Body color="$weld">▲ Withdrawn: proposed no more. Find a substitute where it is used.</Body>
      ) : null}
      <Line gap="$3" flexWrap="nowrap" alignItems="flex-start">
        <Swatch
          lab={lab}
          size={72}
          label={
            lab ? 'colour of a thick layer' : isUnread(product) ? 'colour not read' : 'no colour of its own'
          }
        />
        <Column gap={0} flex={1}>
          {lab ? (
            <Figure>{labInWords(lab)}</Figure>
          ) : (
            <Body>{isUnread(product) ? '▲ Its colour is not read yet' : 'No colour of its own'}</Body>
          )}
          {lab ? (
            <Label>{`depth ${depthOf(lab).toFixed(1)}, ${depthInWords(depthOf(lab))}; ${undertoneOf(lab).undertone}`}</Label>
          ) : null}
          <Body>
            {[product.kind, `${product.coverage} coverage`, product.finish, product.texture].join(', ')}
          </Body>
          <Label>{`${product.family} family · ${product.mgPerMeasure} mg a ${product.measure} · ${product.monthsAfterOpening} months once opened`}</Label>
        </Column>
      </Line>
      {product.tintingStrength === 1 ? null : (
        <Label>{`Tints ${product.tintingStrength.toFixed(2)} times as strongly as a base, by a test mix.`}</Label>
      )}
      {grade > 0 ? (
        <Label>{`In a flash: ${FLASH_WORDS[grade]}, ${product.flashGrade === undefined ? 'guessed from its ingredients' : 'by your own photos'}.`}</Label>
      ) : null}
      <Label>
        {product.ingredients.length > 0
          ? `Contains ${product.ingredients.join(', ')}.`
          : 'No ingredients noted: sensitivities cannot be looked up.'}
      </Label>
      <Label>
        {[
          product.eyeSafe ? 'Meant for the eye area.' : 'Not meant for the eye area.',
          product.singleUse ? 'Single use.' : '',
        ].join(' ')}
      </Label>
    </Column>
  );
}

function Actions({ product, revision }: { readonly product: Product; readonly revision: number }) {
  const router = useRouter();
  const saving = useSaveProduct();
  const withdraw = (): void =>
    void saving.save({ ...formOf(product), withdrawn: !product.withdrawn }, revision);
  return (
    <Column gap="$2">
      {saving.failure ? <Body role="alert" color="$madder">{`▲ ${saving.failure}`}</Body> : null}
      <Line>
        <Button onPress={() => router.navigate(`/kit/products/${product.id}/edit`)}>Change</Button>
        <Button onPress={() => router.navigate(`/kit/new?like=${product.id}`)}>Another like it</Button>
        <Button disabled={saving.busy} onPress={withdraw}>
          {product.withdrawn ? 'Back in use' : 'Withdraw'}
        </Button>
        <Button onPress={() => router.navigate(`/kit/products/${product.id}/substitute`)}>
          Find a substitute
        </Button>
      </Line>
    </Column>
  );
}

function Uses({ product }: { readonly product: Product }) {
  const uses = useProductUses(product.id);
  return (
    <Column gap={0}>
      <Subheading>Used in</Subheading>
      <Ready remote={uses} words="Looking through the charts">
        {({ charts }) =>
          charts.length === 0 ? (
            <Body color="$inkSoft">{`No chart uses ${productName(product)}.`}</Body>
          ) : (
            <>
              {charts.map((chart) => (
                <Row
                  key={chart.id}
                  title={chart.clientName}
                  detail={`${chart.lookName}, ${chart.occasion}`}
                  fact={dayInWords(chart.date)}
                  href={`/charts/${chart.id}`}
                />
              ))}
            </>
          )
        }
      </Ready>
    </Column>
  );
}
