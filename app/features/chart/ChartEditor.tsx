import { useCallback, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { movedStep, msg, plural, stepsOfVariant, term, type Chart, type Kit } from '@toile/core';
import { Button, Judged, Label, Line, Subheading, TabPanel, Tabs, useRoomy, type MenuItem } from '../../ui';
import { chooseGround, useGround } from '../face/ground';
import { wishInWords } from '../looks/wishInWords';
import { usePlaces } from '../review/usePlaces';
import { useGrades, useReview } from '../review/useReview';
import { TimeStrip } from '../review/TimeStrip';
import { AddLayer } from './AddLayer';
import { AmountsInAll } from './AmountsInAll';
import { ChartFace, frameOf } from './ChartFace';
import { minutesOf } from './chartView';
import { DrawTools } from './DrawTools';
import { FaceFindings } from './FaceFindings';
import { FaceTools } from './FaceTools';
import { Insets } from './Insets';
import { KindStrip } from './KindStrip';
import { LookOver, LookOverMark, StopsAbove } from './LookOver';
import { SchoolsPanel } from './SchoolsPanel';
import { StepDrawer, type StepTab } from './StepDrawer';
import { StepList } from './StepList';
import { useDrawing } from './useDrawing';
import { useFaceSize } from './useFaceSize';
import { useStepKeys } from './useStepKeys';
import { useUndo } from './useUndo';
import { VariantBar } from './VariantBar';
import { PhonePlace, WidePlace } from './WorkPlace';

type ChartEditorProps = {
  readonly chart: Chart;
  readonly kit: Kit | undefined;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
  /** Said before everything else: notes of a fit, that it is an older version. */
  readonly above?: ReactNode;
  /** Said and asked after the steps, before it is kept. */
  readonly below?: ReactNode;
  /**
   * What is said of a look as a whole. With it the chart is a look laid on the pattern face: its steps ask
   * for products and are bound to none, so that there is no kit, no review of products and no amounts.
   */
  readonly about?: ReactNode;
  /** Its versions, for a chart that has some. */
  readonly versions?: ReactNode;
  /** What is done with the whole chart, rarely. */
  readonly more?: readonly MenuItem[];
};

/** The rows of tools and of places under the face. */
const TOOLS_PX = 100;

type Place = 'steps' | 'look over' | 'amounts' | 'versions' | 'about';

/**
 * The heart: the face, under it the steps with one of them open, and, a touch away, what is to be looked at,
 * amounts and times, versions. On a wide screen steps, face and what is open stand side by side.
 */
export function ChartEditor({
  chart,
  kit,
  editable,
  onChange: onEdit,
  above,
  below,
  about,
  versions,
  more = [],
}: ChartEditorProps) {
  const ofLook = about !== undefined;
  const roomy = useRoomy();
  const { change: onChange, ...undo } = useUndo(chart, onEdit);
  const draw = useDrawing();
  const [place, setPlace] = useState<Place>('steps');
  const [placement, setPlacement] = useState(0);
  const [tab, setTab] = useState<StepTab>('what');
  const [selected, setOpenStep] = useState<string | null>(null);
  const sizing = useFaceSize(selected !== null);
  const { stop } = draw;
  const setSelected = useCallback(
    (id: string | null): void => {
      setOpenStep(id);
      setPlacement(0);
      if (id !== null) setPlace('steps');
      stop();
    },
    [stop],
  );
  const [variant, setVariant] = useState<string | null>(null);
  const [bare, setBare] = useState(false);
  const [legend, setLegend] = useState(false);
  const ground = useGround();
  const steps = useMemo(() => stepsOfVariant(chart.steps, variant), [chart, variant]);
  const step = steps.find((s) => s.id === selected) ?? null;
  const grades = useGrades();
  const drawn = useDeferredValue(chart);
  const places = usePlaces(drawn, grades);
  const open = useMemo(() => (places ?? []).filter((f) => f.accepted === null), [places]);
  const lines = useReview(chart, kit);
  const time = minutesOf(steps);
  useStepKeys(steps, selected, setSelected);

  const both = { chart, editable, onChange };
  const drawer = step ? (
    <StepDrawer
      {...both}
      step={step}
      kit={kit}
      placement={placement}
      onPlacement={setPlacement}
      onDraw={draw.start}
      onSelect={setSelected}
      variant={chart.variants.find((v) => v.id === variant) ?? null}
      ofLook={ofLook}
      tab={tab}
      onTab={setTab}
      findings={open
        .map((finding, i) => ({ finding, number: i + 1 }))
        .filter(({ finding }) => finding.stepIds.includes(step.id))}
    />
  ) : null;
  const faceOf = (height: number) => (
    <Judged padding={0}>
      <ChartFace
        {...both}
        steps={steps}
        step={step}
        placement={placement}
        bare={bare}
        height={height}
        near={step !== null && (!roomy || draw.drawing !== null)}
        findings={open}
        drawing={draw.drawing}
        onView={(view) => draw.set({ view })}
      />
    </Judged>
  );
  const tools = draw.drawing ? (
    <DrawTools undo={undo} state={draw} view={draw.drawing.view ?? frameOf(chart, step, true)} />
  ) : (
    <FaceTools
      undo={undo}
      editable={editable}
      bare={bare}
      onBare={setBare}
      sizing={roomy ? undefined : sizing}
      more={[
        ...more,
        ground === 'skin'
          ? { words: msg`Draw on paper`, onPress: () => chooseGround('paper') }
          : { words: msg`Draw on the client’s skin`, onPress: () => chooseGround('skin') },
        ...(roomy
          ? []
          : [
              {
                words: legend ? msg`Put away what the marks mean` : msg`What the marks mean`,
                onPress: () => setLegend(!legend),
              },
            ]),
      ]}
    />
  );
  const insets = <Insets client={chart.client} steps={steps} step={step} />;
  const list = (
    <>
      <StopsAbove places={places} lines={lines} onOpen={() => setPlace('look over')} />
      <Line justifyContent="space-between">
        <Subheading>{plural(steps.length)`one step|${steps.length} steps`}</Subheading>
        <Label>{msg`${time.handsOn} min at work, ${time.waiting} min waiting`}</Label>
      </Line>
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
        wordsOf={ofLook ? wishInWords : undefined}
        renderDrawer={roomy ? undefined : () => drawer}
        keptAbovePx={roomy ? undefined : sizing.kept ? sizing.height + TOOLS_PX : 0}
      />
      {editable ? <AddLayer chart={chart} onAdd={(next, id) => (onChange(next), setSelected(id))} /> : null}
      <VariantBar {...both} chosen={variant} onChoose={setVariant} />
      {below}
    </>
  );
  const shown: Place = roomy && place === 'steps' && !step ? 'look over' : place;
  const tabs = (
    <Tabs
      label={ofLook ? msg`Parts of the look` : msg`Parts of the chart`}
      chosen={shown}
      onChoose={setPlace}
      tabs={[
        ...(roomy && !step ? [] : [{ id: 'steps' as const, words: roomy ? msg`This step` : msg`Steps` }]),
        {
          id: 'look over' as const,
          words: msg`Look over`,
          mark: <LookOverMark places={places} lines={lines} />,
        },
        ...(ofLook
          ? [{ id: 'about' as const, words: msg`About it` }]
          : [{ id: 'amounts' as const, words: msg`Amounts`, label: msg`Amounts and time` }]),
        ...(versions ? [{ id: 'versions' as const, words: msg`Versions` }] : []),
      ]}
    />
  );
  const parts: Readonly<Record<Place, ReactNode>> = {
    steps: roomy ? drawer : list,
    'look over': ofLook ? (
      <>
        <FaceFindings {...both} findings={places} onSelect={setSelected} />
        <SchoolsPanel {...both} />
      </>
    ) : (
      <LookOver {...both} kit={kit} places={places} lines={lines} onSelect={setSelected} />
    ),
    about,
    amounts: (
      <>
        <TimeStrip {...both} />
        <AmountsInAll steps={steps} />
      </>
    ),
    versions,
  };
  const panel = <TabPanel label={term(shown)}>{parts[shown]}</TabPanel>;
  if (roomy)
    return (
      <WidePlace
        list={
          <>
            {above}
            {list}
          </>
        }
        face={faceOf}
        under={
          <>
            {tools}
            <KindStrip steps={steps} />
            {insets}
          </>
        }
        tabs={tabs}
        panel={
          <>
            {step && place === 'steps' ? (
              <Line justifyContent="space-between" flexWrap="nowrap">
                <Subheading flex={1}>{step.title}</Subheading>
                <Button label={msg`Close the step`} onPress={() => setSelected(null)}>
                  ✕
                </Button>
              </Line>
            ) : null}
            {panel}
          </>
        }
      />
    );
  return (
    <PhonePlace
      above={above}
      face={
        draw.drawing ? faceOf(Math.max(sizing.height, 300)) : sizing.height > 0 ? faceOf(sizing.height) : null
      }
      tools={tools}
      tabs={tabs}
      kept={sizing.kept}
    >
      {legend ? <KindStrip steps={steps} /> : null}
      {step && shown === 'steps' ? insets : null}
      {panel}
      {step || shown !== 'steps' ? null : insets}
    </PhonePlace>
  );
}
