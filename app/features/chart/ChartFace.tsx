import { useMemo, useRef, useState } from 'react';
import {
  colourOfUse,
  drawnPlacement,
  guides,
  isWipedAway,
  labToHex,
  msg,
  wipe,
  type Chart,
  type ReviewFinding,
  type Step,
} from '@toile/core';
import { useColours } from '../../ui';
import { faceBox } from '../face/faceBox';
import { FaceStage } from '../face/FaceStage';
import { withPlacements, withPlacement } from './chartView';
import { DrawSurface, type Box, type DrawnStroke } from './DrawSurface';
import { Handles } from './Handles';
import { isCheekContour } from './ContourLines';
import { layerOfStep, layersOf } from './layers';
import { LiveLayer, type Live } from './LiveLayer';
import { BREADTHS, type Drawing } from './useDrawing';
import { zoomFor } from './zoom';

/** Most placements one step holds, as its document says. */
const MOST_PLACEMENTS = 40;

type ChartFaceProps = {
  readonly chart: Chart;
  readonly steps: Chart['steps'];
  readonly step: Step | null;
  /** Which of the step's placements shows its handles. */
  readonly placement: number;
  readonly bare: boolean;
  readonly editable: boolean;
  /** Of the drawing, px. */
  readonly height: number;
  /** Goes near the open step. */
  readonly near: boolean;
  readonly findings: readonly ReviewFinding[];
  readonly drawing: Drawing | null;
  readonly onView: (view: Box) => void;
  readonly onChange: (chart: Chart) => void;
};

/**
 * The box a chart's face is framed by: near an open step on a phone or while drawing, else the whole face.
 */
export function frameOf(chart: Chart, step: Step | null, near: boolean): Box {
  const zone = step && near ? zoomFor(step, chart.client) : 'face';
  return zone === 'face' ? faceBox(chart.client.landmarks) : zone;
}

/**
 * The face of the chart: layers in ink, guides in chalk, handles of one placement, findings where they are,
 * and room to draw.
 */
export function ChartFace({
  chart,
  steps,
  step,
  placement,
  bare,
  editable,
  height,
  near,
  findings,
  drawing,
  onView,
  onChange,
}: ChartFaceProps) {
  const { client } = chart;
  const { landmarks, features } = client;
  // While a handle is held only this step is drawn anew; the chart changes when it is let go.
  const [held, setHeld] = useState<Step | null>(null);
  const live = useRef<Live>(null);
  const moving = held !== null && held === step;
  const still = useMemo(
    () => (bare ? [] : layersOf(client, steps, step?.id ?? null)),
    [client, steps, step, bare],
  );
  const layers = useMemo(() => {
    if (!moving || !step) return still;
    const rest = layerOfStep(
      { ...step, placements: step.placements.filter((_, i) => i !== placement) },
      client,
      'lit',
    );
    return still.flatMap((layer) => (layer.id === step.id ? (rest ?? []) : layer));
  }, [still, moving, step, placement, client]);
  const chalk = useMemo(
    () => (step && step.role !== 'care' && step.role !== 'base' ? guides(landmarks, features) : null),
    [step, landmarks, features],
  );
  const frame = drawing?.view ?? frameOf(chart, step, near);

  const stroke = (drawn: DrawnStroke): void => {
    if (!step || !drawing) return;
    if (drawing.tool === 'erase') {
      const left = wipe(step.placements, drawn.outline, drawing.mirrored, landmarks, features).filter(
        (p) => !isWipedAway(p, landmarks, features),
      );
      return onChange(withPlacements(chart, step.id, left));
    }
    const made = drawnPlacement(
      { ...drawn, featherMm: Math.max(0.3, BREADTHS[drawing.breadth] * 0.7), mirrored: drawing.mirrored },
      landmarks,
      features,
    );
    onChange(withPlacements(chart, step.id, [...step.placements, made].slice(-MOST_PLACEMENTS)));
  };

  return (
    <FaceStage
      landmarks={landmarks}
      features={features}
      skin={client.skin}
      layers={layers}
      guides={bare ? null : chalk}
      finder={step !== null && isCheekContour(step)}
      height={height}
      framing={frame}
      label={msg`Face chart of ${client.name}${step ? `, ${step.title}` : ''}`}
    >
      {(toPixels, mmPerPixel, toMm) => {
        if (step && drawing && !bare)
          return (
            <DrawSurface
              client={client}
              step={step}
              tool={drawing.tool}
              radiusMm={BREADTHS[drawing.breadth]}
              snap={drawing.snap}
              view={frame}
              toMm={toMm}
              mmPerPixel={mmPerPixel}
              onStroke={stroke}
              onView={onView}
            />
          );
        const shown = step?.placements[placement];
        const lab = step ? colourOfUse(step.use) : null;
        return (
          <>
            {bare ? null : <FindingMarks findings={findings} toPixels={toPixels} />}
            {step && editable && !bare && shown && 'guide' in shown ? (
              <>
                {moving ? (
                  <LiveLayer
                    ref={live}
                    client={client}
                    frame={frame}
                    colour={lab ? labToHex(lab) : '#8a6a52'}
                    toPixels={toPixels}
                  />
                ) : null}
                <Handles
                  placement={shown}
                  client={client}
                  toPixels={toPixels}
                  mmPerPixel={mmPerPixel}
                  onMove={(next, values) => {
                    if (moving) live.current?.show(next, values);
                    else setHeld(step);
                  }}
                  onChange={(next) => {
                    setHeld(null);
                    onChange(withPlacement(chart, step.id, placement, next));
                  }}
                />
              </>
            ) : null}
          </>
        );
      }}
    </FaceStage>
  );
}

/** Numbers on the face where there is something to look at, as in the list below it. */
function FindingMarks({
  findings,
  toPixels,
}: {
  readonly findings: readonly ReviewFinding[];
  readonly toPixels: (p: readonly [number, number]) => readonly [number, number];
}) {
  const c = useColours();
  return (
    <svg
      width="100%"
      height="100%"
      aria-hidden
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
    >
      {findings.map(({ at, severity }, i) => {
        if (!at) return null;
        const [x, y] = toPixels(at);
        return (
          <g key={i} transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}>
            <path
              d="M0 -2L8 -17H-8Z"
              fill={severity === 'stop' ? c.madder : c.weld}
              stroke={c.surface}
              strokeWidth={1}
            />
            <text
              y={-9}
              textAnchor="middle"
              fontSize={9}
              fontWeight={700}
              fontFamily="Atkinson, sans-serif"
              fill={c.surface}
            >
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
