import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  depthInWords,
  depthOf,
  flashGradeOf,
  isUnread,
  msg,
  plural,
  productName,
  shadeName,
  shelfLife,
  term,
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
      title={product ? shadeName(product) : msg`Product`}
      above={product?.maker}
      onBack={() => router.navigate('/kit')}
    >
      <Ready remote={kit}>
        {(data) =>
          product ? (
            <ProductView kit={data} product={product} narrow={narrow} />
          ) : (
            <Empty
              title={msg`Not in this kit`}
              words={msg`It may have been taken out, or belong to another studio.`}
            />
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
            <Subheading>{plural(units.length)`One unit|${units.length} units`}</Subheading>
            {mayEdit ? (
              <Button onPress={() => setAdding((a) => !a)}>{adding ? msg`Not now` : msg`Add a unit`}</Button>
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
            <Body color="$inkSoft">{msg`None owned: it is proposed last, as something to buy.`}</Body>
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
        <Body color="$weld">{msg`▲ Withdrawn: proposed no more. Find a substitute where it is used.`}</Body>
      ) : null}
      <Line gap="$3" flexWrap="nowrap" alignItems="flex-start">
        <Swatch
          lab={lab}
          size={72}
          label={
            lab
              ? msg`colour of a thick layer`
              : isUnread(product)
                ? msg`colour not read`
                : msg`no colour of its own`
          }
        />
        <Column gap={0} flex={1}>
          {lab ? (
            <Figure>{labInWords(lab)}</Figure>
          ) : (
            <Body>{isUnread(product) ? msg`▲ Its colour is not read yet` : msg`No colour of its own`}</Body>
          )}
          {lab ? (
            <Label>{msg`depth ${depthOf(lab).toFixed(1)}, ${depthInWords(depthOf(lab))}; ${term(undertoneOf(lab).undertone)}`}</Label>
          ) : null}
          <Body>
            {[
              term(product.kind),
              msg`${term(product.coverage)} coverage`,
              term(product.finish),
              term(product.texture),
            ].join(', ')}
          </Body>
          <Label>{msg`${term(product.family)} family · ${product.mgPerMeasure} mg a ${term(product.measure)} · ${product.monthsAfterOpening} months once opened`}</Label>
        </Column>
      </Line>
      {product.tintingStrength === 1 ? null : (
        <Label>{msg`Tints ${product.tintingStrength.toFixed(2)} times as strongly as a base, by a test mix.`}</Label>
      )}
      {grade > 0 ? (
        <Label>{msg`In a flash: ${FLASH_WORDS[grade]}, ${product.flashGrade === undefined ? msg`guessed from its ingredients` : msg`by your own photos`}.`}</Label>
      ) : null}
      <Label>
        {product.ingredients.length > 0
          ? msg`Contains ${product.ingredients.join(', ')}.`
          : msg`No ingredients noted: sensitivities cannot be looked up.`}
      </Label>
      <Label>
        {[
          product.eyeSafe ? msg`Meant for the eye area.` : msg`Not meant for the eye area.`,
          product.singleUse ? msg`Single use.` : '',
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
        <Button onPress={() => router.navigate(`/kit/products/${product.id}/edit`)}>{msg`Change`}</Button>
        <Button onPress={() => router.navigate(`/kit/new?like=${product.id}`)}>{msg`Another like it`}</Button>
        <Button disabled={saving.busy} onPress={withdraw}>
          {product.withdrawn ? msg`Back in use` : msg`Withdraw`}
        </Button>
        <Button
          onPress={() => router.navigate(`/kit/products/${product.id}/substitute`)}
        >{msg`Find a substitute`}</Button>
      </Line>
    </Column>
  );
}

function Uses({ product }: { readonly product: Product }) {
  const uses = useProductUses(product.id);
  return (
    <Column gap={0}>
      <Subheading>{msg`Used in`}</Subheading>
      <Ready remote={uses} words={msg`Looking through the charts`}>
        {({ charts }) =>
          charts.length === 0 ? (
            <Body color="$inkSoft">{msg`No chart uses ${productName(product)}.`}</Body>
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
