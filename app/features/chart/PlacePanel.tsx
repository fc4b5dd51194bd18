import { useState } from 'react';
import {
  cautionOf,
  effectOf,
  effectsFor,
  forbidsOf,
  GUIDE_PARAMETERS,
  guideNamed,
  guidesFor,
  INITIAL_PARAMS,
  msg,
  nudged,
  skillForGuide,
  speakPlacement,
  term,
  withinProhibitions,
  ZONE_NAMES,
  ZONES,
  type Chart,
  type GuideName,
  type Placement,
  type Step,
} from '@toile/core';
import { Body, Button, Choice, Column, Label, Line, Stepper, Subheading } from '../../ui';
import { withPlacements } from './chartView';
import { ContourLines } from './ContourLines';
import { WatchDialog } from './WatchDialog';
import { capital } from '../words/capital';

type PlacePanelProps = {
  readonly chart: Chart;
  readonly step: Step;
  readonly editable: boolean;
  /** The placement whose handles are on the face. */
  readonly placement: number;
  readonly onPlacement: (index: number) => void;
  readonly onChange: (chart: Chart) => void;
  readonly onDraw: () => void;
};

const NUDGE_MM = 0.5;

/**
 * Where a step goes: what it is to reach in a word, its guides with what can be adjusted, drawing by hand.
 */
export function PlacePanel({
  chart,
  step,
  editable,
  placement,
  onPlacement,
  onChange,
  onDraw,
}: PlacePanelProps) {
  const { landmarks, features } = chart.client;
  const [watched, setWatched] = useState<number | null>(null);
  const place = (placements: readonly Placement[]): void =>
    onChange(withPlacements(chart, step.id, placements));
  const said = step.placements.map((p) => capital(speakPlacement(p, landmarks, features)));
  if (!editable || step.role === 'care')
    return (
      <>
        {said.map((words, i) => (
          <Label key={i}>{words}</Label>
        ))}
      </>
    );
  const { role } = step;
  const shown = watched === null ? undefined : step.placements[watched];
  const effect = effectOf(role, step.placements);
  const chosen = effect ? cautionOf(effect, features) : null;
  return (
    <Column gap="$3" role="group" aria-label={msg`Where it goes`}>
      {effectsFor(role).length > 0 ? (
        <Column gap="$1">
          <Choice
            label={msg`To`}
            options={effectsFor(role).map((e) => e.name)}
            chosen={effect ? [effect.name] : []}
            onChange={([name]) => {
              const wanted = effectsFor(role).find((e) => e.name === name);
              if (wanted) place(wanted.placements);
              onPlacement(0);
            }}
          />
          {effect ? <Label>{effect.does}</Label> : null}
          {chosen ? <Body color="$weld">{`▲ ${chosen}`}</Body> : null}
        </Column>
      ) : null}
      {shown && 'guide' in shown ? (
        <WatchDialog client={chart.client} placement={shown} onClose={() => setWatched(null)} />
      ) : null}
      <ContourLines client={chart.client} step={step} />
      {step.placements.map((p, i) => (
        <Column
          key={i}
          gap="$2"
          borderLeftWidth={3}
          borderLeftColor={i === placement ? '$woad' : '$line'}
          paddingLeft="$3"
        >
          <Subheading fontSize="$2" lineHeight="$2">
            {said[i]!}
          </Subheading>
          {i === placement || step.placements.length === 1 ? (
            <Controls
              placement={p}
              onChange={(next) => place(step.placements.map((q, k) => (k === i ? next : q)))}
            />
          ) : (
            <Line>
              <Button onPress={() => onPlacement(i)}>{msg`Adjust`}</Button>
            </Line>
          )}
          <Line>
            {p.side === 'both' && !('guide' in p && guideNamed(p.guide).central) ? (
              <Button
                onPress={() =>
                  place(
                    step.placements.flatMap((q, k): Placement[] =>
                      k === i
                        ? [
                            { ...q, side: 'left' },
                            { ...q, side: 'right' },
                          ]
                        : [q],
                    ),
                  )
                }
              >{msg`Left and right apart`}</Button>
            ) : null}
            {p.side !== 'both' ? (
              <Button
                onPress={() => place(step.placements.map((q, k) => (k === i ? { ...q, side: 'both' } : q)))}
              >{msg`Both sides`}</Button>
            ) : null}
            {p.without?.length ? (
              <Button
                onPress={() => place(step.placements.map((q, k) => (k === i ? restored(q) : q)))}
              >{msg`Put back what was wiped`}</Button>
            ) : null}
            {'guide' in p ? (
              <Button
                label={msg`Watch it drawn: ${said[i]!.split(',')[0]!}`}
                onPress={() => setWatched(i)}
              >{msg`Watch it drawn`}</Button>
            ) : null}
            {'guide' in p && skillForGuide(p.guide) ? (
              <Button href={`/practice/${skillForGuide(p.guide)!.id}`}>{msg`Practise this`}</Button>
            ) : null}
            <Button
              label={msg`Take off ${said[i]!.split(',')[0]!}`}
              onPress={() => (place(step.placements.filter((_, k) => k !== i)), onPlacement(0))}
            >{msg`Take off`}</Button>
          </Line>
        </Column>
      ))}
      <AddPlacement
        chart={chart}
        step={step}
        onAdd={(guide) => (
          place([...step.placements, { guide, side: 'both' }]),
          onPlacement(step.placements.length)
        )}
      />
      <Button onPress={onDraw}>{msg`Draw by hand`}</Button>
    </Column>
  );
}

function restored({ without: _wiped, ...placement }: Placement): Placement {
  return placement;
}

function Controls({
  placement,
  onChange,
}: {
  readonly placement: Placement;
  readonly onChange: (placement: Placement) => void;
}) {
  if (!('guide' in placement)) {
    const by = (out: number, down: number) => (): void =>
      onChange({ ...nudged(placement, out * NUDGE_MM, down * NUDGE_MM) });
    return (
      <Line role="group" aria-label={msg`Move by half a millimetre`}>
        <Button label={msg`Move up`} onPress={by(0, -1)}>
          ↑
        </Button>
        <Button label={msg`Move down`} onPress={by(0, 1)}>
          ↓
        </Button>
        <Button label={msg`Move inwards`} onPress={by(-1, 0)}>{msg`in`}</Button>
        <Button label={msg`Move outwards`} onPress={by(1, 0)}>{msg`out`}</Button>
        <Stepper
          label={msg`Soft edge`}
          unit={msg`mm`}
          minimum={0}
          maximum={12}
          step={0.5}
          value={placement.featherMm}
          onChange={(featherMm) => onChange({ ...placement, featherMm })}
        />
      </Line>
    );
  }
  const params = { ...INITIAL_PARAMS, ...placement.params };
  return (
    <Line gap="$4">
      {guideNamed(placement.guide).adjustable.map((name) => {
        const spec = GUIDE_PARAMETERS[name];
        return (
          <Stepper
            key={name}
            label={term(spec.label)}
            unit={spec.unit}
            minimum={spec.minimum}
            maximum={spec.maximum}
            step={spec.step}
            value={Math.round(params[name] * 100) / 100}
            onChange={(value) => onChange({ ...placement, params: { ...placement.params, [name]: value } })}
          />
        );
      })}
    </Line>
  );
}

/** Guides of the kind and zones that are not placed yet and that the look does not forbid. */
function AddPlacement({
  chart,
  step,
  onAdd,
}: {
  readonly chart: Chart;
  readonly step: Step;
  readonly onAdd: (guide: GuideName) => void;
}) {
  const [open, setOpen] = useState(false);
  if (step.role === 'care') return null;
  const placed = new Set(step.placements.flatMap((p) => ('guide' in p ? [p.guide] : [])));
  const free = (guide: GuideName): boolean =>
    !placed.has(guide) &&
    withinProhibitions(
      { role: step.role, placements: [{ guide, side: 'both' }], kinds: step.wants.kinds },
      forbidsOf(chart),
    ).placements.length > 0;
  const own: readonly GuideName[] = guidesFor(step.role).filter(free);
  const zones: readonly GuideName[] = ZONE_NAMES.map((zone) => `zone.${zone}` as const).filter(free);
  const words = Object.fromEntries([
    ...own.map((name) => [name, guideNamed(name).label]),
    ...ZONE_NAMES.map((zone) => [`zone.${zone}`, ZONES[zone].label]),
  ]);
  return (
    <Column gap="$2">
      {own.length > 0 ? (
        <Choice
          label={msg`Add a guide`}
          options={own}
          words={words}
          chosen={[]}
          onChange={([name]) => name && onAdd(name)}
        />
      ) : null}
      <Line>
        <Button onPress={() => setOpen((o) => !o)}>
          {open ? msg`Hide the zones` : msg`Add a whole zone`}
        </Button>
      </Line>
      {open ? (
        <Choice
          label={msg`Zones`}
          options={zones}
          words={words}
          chosen={[]}
          onChange={([name]) => name && onAdd(name)}
        />
      ) : null}
    </Column>
  );
}
