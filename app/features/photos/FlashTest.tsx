import { useState } from 'react';
import {
  msg,
  productGrades,
  skinTarget,
  trialZoneWords,
  type Chart,
  type ProductGrade,
  type ZoneCast,
} from '@toile/core';
import type { KitAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Label, Line, Subheading } from '../../ui';
import { askPhoto } from '../../workers';
import { FLASH_WORDS } from '../words/flash';
import { castRows } from './photosView';
import type { ShownPhoto } from './usePhotos';

type FlashTestProps = {
  readonly chart: Chart;
  readonly kit: KitAnswer;
  readonly photos: readonly ShownPhoto[];
};

/** What a flash threw back, measured on the newest pair of pictures, and kept as the products' own grade. */
export function FlashTest({ chart, kit, photos }: FlashTestProps) {
  const [casts, setCasts] = useState<readonly ZoneCast[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const of = (light: ShownPhoto['light']) =>
    photos.flatMap((photo) =>
      photo.light === light && photo.bare ? [{ ...photo, bare: photo.bare }] : [],
    )[0];
  const [day, flash] = [of('daylight'), of('flash')];
  const skin = chart.client.skin.neck ?? skinTarget(chart.client.skin);
  const missing = [
    day ? null : msg`one by daylight`,
    flash ? null : msg`one with the flash`,
    skin ? null : msg`a reading of the skin`,
  ].filter((one) => one !== null);
  const measure = async (): Promise<void> => {
    if (!day || !flash || !skin) return;
    setBusy(true);
    setFailure(null);
    const { landmarks } = chart.client;
    try {
      const asked = ({ blob, taps, bare }: typeof day) => ({ blob, taps, bare });
      setCasts(await askPhoto('cast', { day: asked(day), flash: asked(flash), landmarks, skin }));
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
    setBusy(false);
  };
  return (
    <Column gap="$2" role="group" aria-label={msg`Flash test`}>
      <Subheading>{msg`What the flash throws back`}</Subheading>
      {missing.length > 0 ? (
        <Body color="$inkSoft">{msg`Still needed: ${missing.join(', ')}${day && flash ? '' : msg`, each with a bare place tapped`}.`}</Body>
      ) : (
        <>
          {day && flash ? (
            <Line gap="$2" flexWrap="nowrap">
              {[day, flash].map((photo) => (
                <Column key={photo.id} flex={1} gap={0}>
                  <img
                    src={photo.href}
                    alt={photo.light === 'flash' ? msg`With the flash` : msg`By daylight`}
                    style={{ width: '100%', maxHeight: 260, objectFit: 'contain' }}
                  />
                  <Label>{photo.light === 'flash' ? msg`With the flash` : msg`By daylight`}</Label>
                </Column>
              ))}
            </Line>
          ) : null}
          <Button kind="main" disabled={busy} onPress={() => void measure()}>
            {busy ? msg`Measuring` : msg`Measure the pair`}
          </Button>
        </>
      )}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {casts ? <Measured chart={chart} kit={kit} casts={casts} /> : null}
    </Column>
  );
}

function Measured({
  chart,
  kit,
  casts,
}: {
  readonly chart: Chart;
  readonly kit: KitAnswer;
  readonly casts: readonly ZoneCast[];
}) {
  const rows = castRows(casts);
  const grades = productGrades(chart, casts);
  if (rows.length === 0)
    return (
      <Body
        role="status"
        color="$weld"
      >{msg`▲ The pictures do not show the same zones: take both from the front.`}</Body>
    );
  return (
    <Column gap="$2" aria-live="polite">
      <Column gap={0} role="table" aria-label={msg`What the flash threw back`}>
        {rows.map(({ zone, title, words, white }) => (
          <Line
            key={zone}
            role="row"
            flexWrap="nowrap"
            gap="$3"
            paddingVertical="$1"
            borderTopWidth={1}
            borderTopColor="$line"
          >
            <Body role="cell" width={96}>
              {title}
            </Body>
            <Body role="cell" flex={1} color={white ? '$madder' : '$ink'}>
              {white ? `▲ ${words}` : words}
            </Body>
          </Line>
        ))}
      </Column>
      <Label>{msg`Held against the bare place in both pictures, so that exposure and colour of the light do not count; being nearer to the flash does not either. One pair of pictures on one face.`}</Label>
      {grades.map((one) => (
        <Keep key={one.productId} one={one} kit={kit} />
      ))}
    </Column>
  );
}

function Keep({ one, kit }: { readonly one: ProductGrade; readonly kit: KitAnswer }) {
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving();
  const product = kit.products.find(({ id }) => id === one.productId);
  if (!product) return null;
  const where = one.zones.map(trialZoneWords).join(', ');
  const kept = product.flashGrade === one.grade;
  return (
    <Column gap="$1">
      <Body>{msg`${one.name}: ${FLASH_WORDS[one.grade]} (${where}), if it alone did it. ${
        product.flashGrade === undefined
          ? msg`Nothing noted so far.`
          : msg`Noted so far: ${FLASH_WORDS[product.flashGrade]}.`
      }`}</Body>
      <Line>
        <Button
          label={`${kept ? msg`Noted` : msg`Note it`}: ${one.name}`}
          disabled={busy || kept}
          onPress={() =>
            void save(async () => {
              await call('updateProduct', {
                params: { id: product.id },
                body: { ...product, flashGrade: one.grade },
                revision: kit.revisions[product.id] ?? 1,
              });
              await refresh();
            })
          }
        >
          {kept ? msg`Noted` : msg`Note it`}
        </Button>
      </Line>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </Column>
  );
}
