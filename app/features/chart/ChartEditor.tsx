import { useCallback, useDeferredValue, useEffect, useMemo, useState, type ReactNode } from 'react';
import {
  LAYER_KINDS,
  LAYER_LOOKS,
  movedStep,
  reviewPlaces,
  stepsOfVariant,
  type Chart,
  type Kit,
} from '@toile/core';
import { useStudioSettings } from '../../data/hooks';
import { Button, Column, Judged, Label, Line, Subheading, useWide, View } from '../../ui';
import { Notch } from '../face/Notch';
import { ReviewPanel } from '../review/ReviewPanel';
import { TimeStrip } from '../review/TimeStrip';
import { AdaptationsPanel } from './AdaptationsPanel';
import { AddLayer } from './AddLayer';
import { AmountsInAll } from './AmountsInAll';
import { ChartFace, frameOf } from './ChartFace';
import { minutesOf } from './chartView';
import { DrawTools } from './DrawTools';
import { FaceFindings } from './FaceFindings';
import { FaultPanel } from './FaultPanel';
import { Insets } from './Insets';
import { SchoolsPanel } from './SchoolsPanel';
import { StepDrawer, type StepTab } from './StepDrawer';
import { StepList } from './StepList';
import { VariantBar } from './VariantBar';
import { useDrawing } from './useDrawing';
import { useUndo } from './useUndo';

type ChartEditorProps = {
  readonly chart: Chart;
  readonly kit: Kit | undefined;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
  /** What stands above the steps: notes of a fit, versions. */
  readonly above?: ReactNode;
};

/** The heart: the face, what is to be looked at, and the steps in order with one of them open. */
export function ChartEditor({ chart, kit, editable, onChange: onEdit, above }: ChartEditorProps) {
  const wide = useWide();
  const { change: onChange, undo, redo, canUndo, canRedo } = useUndo(chart, onEdit);
  const draw = useDrawing();
  const [placement, setPlacement] = useState(0);
  const [tab, setTab] = useState<StepTab>('what');
  const [selected, setOpenStep] = useState<string | null>(null);
  const { stop } = draw;
  const setSelected = useCallback(
    (id: string | null): void => {
      setOpenStep(id);
      setPlacement(0);
      stop();
    },
    [stop],
  );
  const [variant, setVariant] = useState<string | null>(null);
  const [bare, setBare] = useState(false);
  const steps = useMemo(() => stepsOfVariant(chart.steps, variant), [chart, variant]);
  const step = steps.find((s) => s.id === selected) ?? null;
  const drawn = useDeferredValue(chart);
  const settings = useStudioSettings();
  const grades = settings.data?.settings.ruleGrades;
  const findings = useMemo(() => reviewPlaces(drawn, grades), [drawn, grades]);
  const open = useMemo(() => findings.filter((f) => f.accepted === null), [findings]);
  const time = minutesOf(steps);

  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (
        event.target instanceof HTMLElement &&
        /^(INPUT|TEXTAREA)$|slider/.test(event.target.tagName + (event.target.getAttribute('role') ?? ''))
      )
        return;
      const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
      if (by === 0) return;
      event.preventDefault();
      const at = steps.findIndex((s) => s.id === selected);
      setSelected(steps[Math.max(0, Math.min(steps.length - 1, at + by))]?.id ?? null);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [steps, selected, setSelected]);

  const drawer = step ? (
    <StepDrawer
      chart={chart}
      step={step}
      kit={kit}
      editable={editable}
      placement={placement}
      onPlacement={setPlacement}
      onChange={onChange}
      onDraw={draw.start}
      onSelect={setSelected}
      variant={chart.variants.find((v) => v.id === variant) ?? null}
      tab={tab}
      onTab={setTab}
    />
  ) : null;
  const face = (
    <Judged padding={0}>
      <ChartFace
        chart={chart}
        steps={steps}
        step={step}
        placement={placement}
        bare={bare}
        editable={editable}
        wide={wide}
        findings={open}
        drawing={draw.drawing}
        onView={(view) => draw.set({ view })}
        onChange={onChange}
      />
    </Judged>
  );
  const tools = (
    <DrawTools
      state={draw}
      view={draw.drawing?.view ?? frameOf(chart, step, true)}
      canUndo={canUndo}
      canRedo={canRedo}
      onUndo={undo}
      onRedo={redo}
    />
  );
  const under = (
    <>
      <KindStrip steps={steps} />
      <Line>
        <Button label={bare ? 'Show the layers' : 'Show the face before'} onPress={() => setBare((b) => !b)}>
          {bare ? 'After' : 'Before'}
        </Button>
        {editable ? (
          <>
            <Button label="Undo" disabled={!canUndo} onPress={undo}>
              ↶
            </Button>
            <Button label="Redo" disabled={!canRedo} onPress={redo}>
              ↷
            </Button>
          </>
        ) : null}
      </Line>
      <Insets client={chart.client} steps={steps} step={step} />
      <FaceFindings
        chart={chart}
        findings={findings}
        editable={editable}
        onChange={onChange}
        onSelect={setSelected}
      />
      <ReviewPanel chart={chart} kit={kit} editable={editable} onChange={onChange} onSelect={setSelected} />
      <TimeStrip chart={chart} editable={editable} onChange={onChange} />
    </>
  );
  const side = (
    <>
      {above}
      <AdaptationsPanel chart={chart} editable={editable} onChange={onChange} />
      <VariantBar
        chart={chart}
        chosen={variant}
        onChoose={setVariant}
        editable={editable}
        onChange={onChange}
      />
      <Line justifyContent="space-between">
        <Subheading>{`${steps.length} steps`}</Subheading>
        <Label>{`${time.handsOn} min at work, ${time.waiting} min waiting`}</Label>
      </Line>
      <SchoolsPanel chart={chart} editable={editable} onChange={onChange} />
      <StepList
        steps={steps}
        selected={selected}
        onSelect={setSelected}
        onMove={
          editable
            ? (id, target) =>
                onChange(
                  movedStep(
                    chart,
                    id,
                    chart.steps.findIndex((s) => s.id === target),
                  ),
                )
            : undefined
        }
        renderDrawer={() => drawer}
      />
      <AmountsInAll steps={steps} />
      {editable ? <AddLayer chart={chart} onAdd={(next, id) => (onChange(next), setSelected(id))} /> : null}
      {editable ? <FaultPanel chart={chart} kit={kit} onChange={onChange} onSelect={setSelected} /> : null}
    </>
  );
  if (!wide) {
    // The face stays at the top while a step is open: what is changed below is seen at once.
    return (
      <Column gap="$3">
        <View style={step ? { position: 'sticky', top: -16, zIndex: 10 } : undefined}>
          {face}
          {tools}
        </View>
        {under}
        {side}
      </Column>
    );
  }
  return (
    <View flexDirection="row" gap="$4" alignItems="flex-start">
      <Column flex={1} gap="$2" style={{ position: 'sticky', top: -16 }}>
        {face}
        {tools}
        {under}
      </Column>
      <Column width={400} gap="$3">
        {side}
      </Column>
    </View>
  );
}

/** Which kinds of layer the chart has: notch, word and count; the legend of the drawing. */
function KindStrip({ steps }: { readonly steps: Chart['steps'] }) {
  const kinds = LAYER_KINDS.filter((kind) => steps.some((s) => s.role === kind));
  return (
    <Line gap="$3">
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
