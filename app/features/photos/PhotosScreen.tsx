import { useRouter } from 'expo-router';
import { msg, type Chart } from '@toile/core';
import { may } from '@toile/contract';
import { useChart, useClient, useKit, useSession } from '../../data/hooks';
import { Body, Column, Label, Loading, Ready, Screen } from '../../ui';
import { AddPhoto } from './AddPhoto';
import { FlashTest } from './FlashTest';
import { KeptPhotos } from './KeptPhotos';
import { mayPhotograph, NoConsent } from './NoConsent';
import { keepingWords } from './photosView';
import { usePhotos } from './usePhotos';

/** Photographs of a chart as it was worn: kept on this device or with the studio, measured on this device. */
export function PhotosScreen({ id }: { readonly id: string }) {
  const chart = useChart(id);
  const router = useRouter();
  return (
    <Screen
      title={msg`Photographs`}
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
  const { photos, failure, studioKeeps, keep, send, drop } = usePhotos(chart.client.id, chart.id);
  const kit = useKit();
  const session = useSession();
  if (!photos) return <Loading />;
  return (
    <Column gap="$5">
      <Label>{keepingWords(studioKeeps)}</Label>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {photos.length > 0 ? (
        <KeptPhotos
          photos={photos}
          studioKeeps={studioKeeps}
          mayDrop={session.data ? may(session.data.role, 'edit') : false}
          send={send}
          drop={drop}
        />
      ) : null}
      {photos.length > 0 && kit.data ? <FlashTest chart={chart} kit={kit.data} photos={photos} /> : null}
      <AddPhoto
        client={chart.client}
        chartId={chart.id}
        where={studioKeeps ? 'studio' : 'device'}
        onKeep={keep}
      />
    </Column>
  );
}
