import { useLocalSearchParams, useRouter } from 'expo-router';
import type { ClientAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { useChart, useClient, useKit } from '../../data/hooks';
import { Button, Choice, Column, Empty, Ready, Screen } from '../../ui';
import { newestSkin } from '../clients/snapshot';
import { CorrectPanel } from './CorrectPanel';
import { MatchPanel } from './MatchPanel';
import { SculptPanel } from './SculptPanel';
import { useShadeContext } from './useShadeContext';

const PANELS = ['match', 'correct', 'sculpt'] as const;
type Panel = (typeof PANELS)[number];

/** Shades for one client: a base matched and mixed, spots corrected, sculpting shades ranked. */
export function ShadesScreen({ id }: { readonly id: string }) {
  const client = useClient(id);
  const router = useRouter();
  const { panel } = useLocalSearchParams<{ panel?: string }>();
  const shown = PANELS.find((p) => p === panel) ?? 'match';
  return (
    <Screen title={msg`Shades`} above={client.data?.name} onBack={() => router.navigate(`/clients/${id}`)}>
      <Ready remote={client}>
        {(data) => <Shades client={data} panel={shown} onPanel={(p) => router.setParams({ panel: p })} />}
      </Ready>
    </Screen>
  );
}

function Shades({
  client,
  panel,
  onPanel,
}: {
  readonly client: ClientAnswer;
  readonly panel: Panel;
  readonly onPanel: (panel: Panel) => void;
}) {
  const router = useRouter();
  const kit = useKit();
  const { chart: chartId } = useLocalSearchParams<{ chart?: string }>();
  const chart = useChart(chartId ?? '');
  const context = useShadeContext(
    client,
    chartId && !chart.data && !chart.error ? undefined : kit.data,
    chart.data?.chart ?? null,
  );
  if (Object.keys(newestSkin(client)).length === 0)
    return (
      <Empty
        title={msg`Read the skin first`}
        words={msg`Shades are worked out from a reading: seven zones, a few touches each.`}
      >
        <Button
          kind="main"
          onPress={() => router.navigate(`/clients/${client.id}/read`)}
        >{msg`Read the skin`}</Button>
      </Empty>
    );
  return (
    <Column gap="$4">
      <Choice
        label={msg`What for`}
        options={PANELS}
        words={{ match: msg`Match and mix`, correct: msg`Correct`, sculpt: msg`Sculpt` }}
        chosen={[panel]}
        onChange={([p]) => p && onPanel(p)}
      />
      <Ready remote={kit} words={msg`Opening the kit`}>
        {() =>
          context === null ? null : panel === 'match' ? (
            <MatchPanel client={client} context={context} />
          ) : panel === 'correct' ? (
            <CorrectPanel client={client} context={context} />
          ) : (
            <SculptPanel context={context} />
          )
        }
      </Ready>
    </Column>
  );
}
