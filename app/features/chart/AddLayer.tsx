import { useState } from 'react';
import {
  CARE_STEPS,
  forbidsOf,
  LAYER_KINDS,
  LAYER_LOOKS,
  messages,
  msg,
  newCareStep,
  newStep,
  usualPlacements,
  withDeeperEdge,
  withinProhibitions,
  withStep,
  type CareStep,
  type Chart,
  type LayerKind,
  type Placement,
} from '@toile/core';
import { newId } from '@toile/contract';
import { Button, Choice, Column } from '../../ui';

const CARE_WORDS: Readonly<Record<CareStep, string>> = messages({
  prep: 'Prepare the skin',
  primer: 'Prime',
  mist: 'Mist',
});

/** Adds a layer of a kind where its phase comes in the chart's order, placed as that kind usually is. */
export function AddLayer({
  chart,
  onAdd,
}: {
  readonly chart: Chart;
  readonly onAdd: (chart: Chart, stepId: string) => void;
}) {
  const [open, setOpen] = useState(false);
  const add = (kind: LayerKind): void => {
    const id = newId();
    const placements: readonly Placement[] =
      kind === 'base' ? [{ guide: 'zone.wholeFace', side: 'both' }] : usualPlacements(kind);
    setOpen(false);
    const step = newStep(kind, id, placements);
    const allowed = withinProhibitions(
      { role: kind, placements, kinds: step.wants.kinds },
      forbidsOf(chart),
    ).placements;
    onAdd(withStep(chart, { ...step, placements: [...allowed] }), id);
  };
  return (
    <Column gap="$2">
      <Button onPress={() => setOpen((o) => !o)}>{open ? msg`No new layer` : msg`Add a layer`}</Button>
      {open ? (
        <>
          <Choice
            label={msg`Which kind`}
            options={LAYER_KINDS}
            words={Object.fromEntries(LAYER_KINDS.map((kind) => [kind, LAYER_LOOKS[kind].name]))}
            chosen={[]}
            onChange={([kind]) => kind && add(kind)}
          />
          <Choice
            label={msg`Or care`}
            options={CARE_STEPS}
            words={CARE_WORDS}
            chosen={[]}
            onChange={([care]) => {
              if (!care) return;
              const id = newId();
              setOpen(false);
              onAdd(withStep(chart, newCareStep(care, id)), id);
            }}
          />
          {chart.steps.some((s) => s.role === 'base') ? (
            <Button
              onPress={() => {
                const id = newId();
                setOpen(false);
                onAdd(withDeeperEdge(chart, id), id);
              }}
            >{msg`A deeper edge to the base`}</Button>
          ) : null}
        </>
      ) : null}
    </Column>
  );
}
