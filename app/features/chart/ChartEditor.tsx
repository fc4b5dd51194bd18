import { useDeferredValue, useEffect, useMemo, useState, type ReactNode } from 'react';
import { guides, type Chart, type Kit, type Placement, type Step } from '@toile/core';
import { Body, Button, Choice, Column, Judged, Label, Line, Subheading, useWide, View } from '../../ui';
import { FaceStage } from '../face/FaceStage';
import { Notch } from '../face/Notch';
import { LAYER_KIND_NAMES, LAYER_LOOKS } from '../face/layerKinds';
import { findingsOf, layersOf, mended, minutesOf, stepsShown, withPlacement, type ChartFinding } from './chartView';
import { zoomFor } from './zoom';
import { ReviewPanel } from '../review/ReviewPanel';
import { TimeStrip } from '../review/TimeStrip';
import { Handles } from './Handles';
import { StepDrawer } from './StepDrawer';
import { StepList } from './StepList';

type ChartEditorProps = {
  readonly chart: Chart;
  readonly kit: Kit | undefined;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
  /** What stands above the steps: notes of a fit, versions. */
  readonly above?: ReactNode;
};

/** The heart: the face, what is to be looked at, and the steps in order with one of them open. */
export function ChartEditor({ chart, kit, editable, onChange, above }: ChartEditorProps) {
  const wide = useWide();
  const [selected, setSelected] = useState<string | null>(null);
  const [variant, setVariant] = useState<string | null>(null);
  const [bare, setBare] = useState(false);
  const steps = useMemo(() => stepsShown(chart, variant), [chart, variant]);
  const step = steps.find((s) => s.id === selected) ?? null;
  const drawn = useDeferredValue(chart);
  const findings = useMemo(() => findingsOf(drawn), [drawn]);
  const time = minutesOf(steps);

  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$|slider/.test(event.target.tagName + (event.target.getAttribute('role') ?? ''))) return;
      const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
      if (by === 0) return;
      event.preventDefault();
      const at = steps.findIndex((s) => s.id === selected);
      setSelected(steps[Math.max(0, Math.min(steps.length - 1, at + by))]?.id ?? null);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [steps, selected]);

  const drawer = step ? <StepDrawer chart={chart} step={step} kit={kit} editable={editable} onChange={onChange} /> : null;
  const face = (
    <Judged padding={0}>
      <ChartFace chart={chart} steps={steps} step={step} bare={bare} editable={editable} onChange={onChange} wide={wide} />
    </Judged>
  );
  const under = (
    <>
      <Line justifyContent="space-between">
        <KindStrip steps={steps} />
        <Button label={bare ? 'Show the layers' : 'Show the face before'} onPress={() => setBare((b) => !b)}>
          {bare ? 'After' : 'Before'}
        </Button>
      </Line>
      <Findings findings={findings} editable={editable} onSelect={setSelected} onMend={(finding) => onChange(mended(chart, finding))} />
      <ReviewPanel chart={chart} kit={kit} editable={editable} onChange={onChange} onSelect={setSelected} />
      <TimeStrip chart={chart} editable={editable} onChange={onChange} />
    </>
  );
  const side = (
    <>
      {above}
      {chart.variants.length > 0 ? (
        <Choice
          label="Variant"
          options={['as planned', ...chart.variants.map((v) => v.id)]}
          words={Object.fromEntries(chart.variants.map((v) => [v.id, v.name]))}
          chosen={[variant ?? 'as planned']}
          onChange={([v]) => setVariant(v === undefined || v === 'as planned' ? null : v)}
        />
      ) : null}
      <Line justifyContent="space-between">
        <Subheading>{`${steps.length} steps`}</Subheading>
        <Label>{`${time.handsOn} min at work, ${time.waiting} min waiting`}</Label>
      </Line>
      <StepList steps={steps} selected={selected} onSelect={setSelected} renderDrawer={() => drawer} />
    </>
  );
  if (!wide) {
    // The face stays at the top while a step is open: what is changed below is seen at once.
    return (
      <Column gap="$3">
        <View style={step ? { position: 'sticky', top: -16, zIndex: 10 } : undefined}>{face}</View>
        {under}
        {side}
      </Column>
    );
  }
  return (
    <View flexDirection="row" gap="$4" alignItems="flex-start">
      <Column flex={1} gap="$2" style={{ position: 'sticky', top: -16 }}>
        {face}
        {under}
      </Column>
      <Column width={400} gap="$3">
        {side}
      </Column>
    </View>
  );
}

type ChartFaceProps = Pick<ChartEditorProps, 'chart' | 'editable' | 'onChange'> & {
  readonly steps: Chart['steps'];
  readonly step: Step | null;
  readonly bare: boolean;
  readonly wide: boolean;
};

/** The face of the chart; on a phone an open step brings its zone near, with room for its handles. */
function ChartFace({ chart, steps, step, bare, editable, onChange, wide }: ChartFaceProps) {
  const layers = useMemo(() => (bare ? [] : layersOf(chart, steps, step?.id ?? null)), [chart, steps, step?.id, bare]);
  const { landmarks, features } = chart.client;
  const chalk = useMemo(() => (step && step.role !== 'care' && step.role !== 'base' ? guides(landmarks, features) : null), [step, landmarks, features]);
  const near = step && !wide;
  return (
    <FaceStage
      landmarks={landmarks}
      features={features}
      layers={layers}
      guides={bare ? null : chalk}
      height={wide ? 560 : near ? 270 : 370}
      framing={near ? zoomFor(step, chart.client) : 'face'}
      label={`Face chart of ${chart.client.name}${step ? `, ${step.title}` : ''}`}
    >
      {(toPixels, mmPerPixel) =>
        step && editable && !bare
          ? step.placements.map((placement, i) =>
              'guide' in placement ? (
                <Handles
                  key={i}
                  placement={placement}
                  client={chart.client}
                  toPixels={toPixels}
                  mmPerPixel={mmPerPixel}
                  onChange={(next: Placement) => onChange(withPlacement(chart, step.id, i, next))}
                />
              ) : null,
            )
          : null
      }
    </FaceStage>
  );
}

/** Which kinds of layer the chart has: notch, word and count; the legend of the drawing. */
function KindStrip({ steps }: { readonly steps: Chart['steps'] }) {
  const kinds = LAYER_KIND_NAMES.filter((kind) => steps.some((s) => s.role === kind));
  return (
    <Line flex={1} gap="$3">
      {kinds.map((kind) => (
        <Line key={kind} gap="$1">
          <Notch kind={kind} size={16} />
          <Label fontSize="$1" lineHeight="$1">
            {LAYER_LOOKS[kind].name}
          </Label>
        </Line>
      ))}
    </Line>
  );
}

function Findings({
  findings,
  editable,
  onSelect,
  onMend,
}: {
  readonly findings: readonly ChartFinding[];
  readonly editable: boolean;
  readonly onSelect: (id: string) => void;
  readonly onMend: (finding: ChartFinding) => void;
}) {
  if (findings.length === 0)
    return (
      <Body color="$moss" aria-live="polite">
        ✓ Every placement keeps its limits.
      </Body>
    );
  return (
    <Column gap="$2" role="status" aria-live="polite">
      <Subheading>{`${findings.length} ${findings.length === 1 ? 'thing' : 'things'} to look at`}</Subheading>
      {findings.map((finding, i) => (
        <Column key={i} gap="$1">
          <Body color="$weld">{`▲ ${finding.step.title}, ${finding.limit}. ${finding.message}`}</Body>
          {editable ? (
            <Line>
              <Button onPress={() => onMend(finding)}>Bring it back</Button>
              <Button onPress={() => onSelect(finding.step.id)}>Show the step</Button>
            </Line>
          ) : null}
        </Column>
      ))}
    </Column>
  );
}
