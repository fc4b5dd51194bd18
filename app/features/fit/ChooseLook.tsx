import { useEffect, useMemo, useState } from 'react';
import { adaptationInWords, blankChart, msg, type FittedLook } from '@toile/core';
import { newId, type ClientAnswer } from '@toile/contract';
import { useKit, useLook, useLooks, useSession, useStudioSettings } from '../../data/hooks';
import { Body, Column, Loading, Ready, Row, Subheading } from '../../ui';
import { askFitting } from '../../workers';
import { snapshotOfClient } from '../clients/snapshot';
import { OccasionCard } from '../occasion/OccasionCard';
import { comingVisit, occasionErrors, occasionOfVisit, withHoursSaid } from '../occasion/occasionView';
import { todayText } from '../words/dates';
import type { FitDraft } from './fitDraft';

/**
 * What stands above a fitted chart: gaps of the kit and places that were moved. What was fitted to her is
 * shown with the chart.
 */
function notesBeside({ notes, adaptations, chart }: FittedLook): readonly string[] {
  const told = new Set(
    adaptations.flatMap((a) => [
      adaptationInWords(a, chart.steps.find((s) => s.id === a.stepId)?.title ?? a.was?.title),
      adaptationInWords(a, undefined),
    ]),
  );
  return notes.filter((note) => !told.has(note));
}

/** For which day, and which look: fitted as soon as one is chosen. */
export function ChooseLook({
  client,
  onFitted,
}: {
  readonly client: ClientAnswer;
  readonly onFitted: (draft: FitDraft) => void;
}) {
  const looks = useLooks();
  const kit = useKit();
  const session = useSession();
  const settings = useStudioSettings();
  const coming = comingVisit(client.visits, todayText());
  const [occasion, setOccasion] = useState(() =>
    withHoursSaid(occasionOfVisit(coming, todayText()), client.consult.hours),
  );
  const [lookId, setLookId] = useState<string | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const look = useLook(lookId);
  const chosen = look.data?.look;
  const snapshot = useMemo(() => snapshotOfClient(client), [client]);

  useEffect(() => {
    if (!chosen || !kit.data || !session.data || (!settings.data && !settings.error)) return;
    let current = true;
    const stamp = { id: newId(), author: session.data.name, at: new Date().toISOString(), reason: '' };
    askFitting('fit', {
      look: chosen,
      client: snapshot,
      kit: kit.data,
      occasion,
      stamp,
      schools: settings.data?.settings.schools ?? {},
    }).then(
      (fitted: FittedLook) =>
        current &&
        onFitted({
          chart: fitted.chart,
          notes: notesBeside(fitted),
          visitId: coming?.date === occasion.date ? coming.id : null,
          reason: '',
        }),
      (error: unknown) => {
        if (!current) return;
        setFailure(error instanceof Error ? error.message : String(error));
        setLookId(null);
      },
    );
    return () => {
      current = false;
    };
    // Fitting starts when a look has been chosen and everything it needs is here, once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [chosen, kit.data, session.data, settings.data, settings.error]);

  const fromNothing = (): void => {
    if (!session.data) return;
    const stamp = { id: newId(), author: session.data.name, at: new Date().toISOString(), reason: '' };
    onFitted({
      chart: blankChart(snapshot, occasion, stamp, newId(), settings.data?.settings.schools),
      notes: [],
      visitId: coming?.date === occasion.date ? coming.id : null,
      reason: '',
    });
  };

  if (lookId)
    return look.error ? (
      <Ready remote={look}>{() => null}</Ready>
    ) : (
      <Loading words={msg`Matching the kit and placing the look on this face`} />
    );
  return (
    <Column gap="$4">
      <OccasionCard value={occasion} onChange={setOccasion} />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Column gap="$1">
        <Subheading>{msg`Which look`}</Subheading>
        <Ready remote={looks}>
          {(list) =>
            list
              .filter((l) => !l.retired)
              .map((l) => (
                <Row
                  key={l.id}
                  title={l.name}
                  detail={l.description}
                  fact={msg`${l.minutes} min`}
                  onPress={() => (occasionErrors(occasion).date ? undefined : setLookId(l.id))}
                />
              ))
          }
        </Ready>
        <Row
          title={msg`From nothing`}
          detail={msg`An empty chart: layers added one by one, placed and matched as you go.`}
          onPress={() => (occasionErrors(occasion).date ? undefined : fromNothing())}
        />
      </Column>
    </Column>
  );
}
