import { msg, plural, type Chart, type Kit, type ReviewFinding } from '@toile/core';
import type { ReviewLine } from '../../workers/fittingJobs';
import { openLines } from '../review/reviewView';
import { ReviewPanel } from '../review/ReviewPanel';
import { Button, Label } from '../../ui';
import { AdaptationsPanel } from './AdaptationsPanel';
import { FaceFindings } from './FaceFindings';
import { FaultPanel } from './FaultPanel';
import { SchoolsPanel } from './SchoolsPanel';

type LookOverProps = {
  readonly chart: Chart;
  readonly kit: Kit | undefined;
  /** What is to be looked at on the face; null until it was looked at. */
  readonly places: readonly ReviewFinding[] | null;
  /** What the review says; null while it looks. */
  readonly lines: readonly ReviewLine[] | null;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
  readonly onSelect: (stepId: string) => void;
};

/**
 * Everything a second pair of eyes would say: places, rules, what was fitted, the school, what looks wrong.
 */
export function LookOver({ chart, kit, places, lines, editable, onChange, onSelect }: LookOverProps) {
  const both = { chart, editable, onChange };
  return (
    <>
      <FaceFindings {...both} findings={places} onSelect={onSelect} />
      <ReviewPanel {...both} kit={kit} answer={lines} onSelect={onSelect} />
      <AdaptationsPanel {...both} />
      <SchoolsPanel {...both} />
      {editable ? <FaultPanel chart={chart} kit={kit} onChange={onChange} onSelect={onSelect} /> : null}
    </>
  );
}

type Found = Pick<LookOverProps, 'places' | 'lines'>;

const openOf = ({ places, lines }: Found): { count: number; stops: number } => {
  const open = [...(places ?? []).filter((p) => p.accepted === null), ...openLines(lines ?? [])];
  return { count: open.length, stops: open.filter((l) => l.severity === 'stop').length };
};

/** How much there is to look at, behind the word of its place; a stop has its own mark and colour. */
export function LookOverMark(found: Found) {
  const { count, stops } = openOf(found);
  if (count === 0) return null;
  return (
    <Label color={stops > 0 ? '$madder' : '$ink'} fontWeight="700">
      {stops > 0 ? `■ ${count}` : count}
    </Label>
  );
}

/** Only harm interrupts: said above the steps, one touch from what it is. */
export function StopsAbove({ onOpen, ...found }: Found & { readonly onOpen: () => void }) {
  const { stops } = openOf(found);
  if (stops === 0) return null;
  return (
    <Button kind="stop" onPress={onOpen}>
      {msg`■ ${plural(stops)`${stops} thing|${stops} things`} to stop at: look over`}
    </Button>
  );
}
