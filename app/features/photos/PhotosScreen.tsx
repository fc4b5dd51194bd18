import { useRouter } from 'expo-router';
import type { Chart } from '@toile/core';
import { useChart, useClient, useKit } from '../../data/hooks';
import { Body, Button, Column, Label, Line, Loading, Ready, Screen, Subheading } from '../../ui';
import { instantInWords } from '../words/dates';
import { AddPhoto } from './AddPhoto';
import { FlashTest } from './FlashTest';
import { mayPhotograph, NoConsent } from './NoConsent';
import { usePhotos } from './usePhotos';

/** Photographs of a chart as it was worn: kept on this device, measured on this device. */
export function PhotosScreen({ id }: { readonly id: string }) {
  const chart = useChart(id);
  const router = useRouter();
  return (
    <Screen
      title="Photographs"
      above={chart.data ? `${chart.data.chart.client.name} · ${chart.data.chart.look.name}` : undefined}
      widest={760}
      onBack={() => (router.canGoBack() ? router.back() : router.navigate(`/charts/${id}`))}
    >
      <Ready remote={chart}>{({ chart: newest }) => <OfClient chart={newest} />}</Ready>
    </Screen>
  );
}

function OfClient({ chart }: { readonly chart: Chart }) {
  const client = useClient(chart.client.id);
  return (
    <Ready remote={client}>
      {(of) => (mayPhotograph(of) ? <Kept chart={chart} /> : <NoConsent client={of} />)}
    </Ready>
  );
}

function Kept({ chart }: { readonly chart: Chart }) {
  const { photos, failure, keep, drop } = usePhotos(chart.client.id, chart.id);
  const kit = useKit();
  if (!photos) return <Loading />;
  return (
    <Column gap="$5">
      <Label>
        Kept on this device alone and never sent; gone when the client is erased or you sign out here.
      </Label>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {photos.length > 0 ? (
        <Column gap="$2" role="group" aria-label="Kept photographs">
          <Subheading>{`${photos.length} kept`}</Subheading>
          <Line gap="$3" alignItems="flex-start">
            {photos.map((photo) => (
              <Column key={photo.id} width={112} gap="$1">
                <img
                  src={photo.href}
                  alt={`${photo.light === 'flash' ? 'With the flash' : 'By daylight'}, ${instantInWords(photo.at)}`}
                  style={{ width: '100%', height: 112, objectFit: 'cover' }}
                />
                <Label>{`${photo.light}, ${instantInWords(photo.at)}${photo.bare ? '' : ', no bare place'}`}</Label>
                <Button
                  label={`Drop the photograph of ${instantInWords(photo.at)}, ${photo.light}`}
                  onPress={() => void drop(photo)}
                >
                  Drop
                </Button>
              </Column>
            ))}
          </Line>
        </Column>
      ) : null}
      {photos.length > 0 && kit.data ? <FlashTest chart={chart} kit={kit.data} photos={photos} /> : null}
      <AddPhoto client={chart.client} chartId={chart.id} onKeep={keep} />
    </Column>
  );
}
