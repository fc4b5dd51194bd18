import { useState, type ReactNode } from 'react';
import { acceptFinding, msg, type Chart, type Kit } from '@toile/core';
import { Body, Column, Label, Subheading } from '../../ui';
import type { ReviewLine } from '../../workers/fittingJobs';
import { useMinded } from '../clients/useMinded';
import { FindingRow } from './FindingRow';
import { ManyAlike } from './ManyAlike';
import { acceptedLines, fixed, gathered, openLines, reviewInWords } from './reviewView';
import { useGrades } from './useReview';

type ReviewPanelProps = {
  readonly chart: Chart;
  readonly kit: Kit | undefined;
  /** What was found; null while it is being looked for. */
  readonly answer: readonly ReviewLine[] | null;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
  readonly onSelect: (stepId: string) => void;
};

/**
 * What a second pair of eyes would ask before it is on the skin: each with its reason, a fix where there is
 * one, or accepted for a reason.
 */
export function ReviewPanel({ chart, kit, answer, editable, onChange, onSelect }: ReviewPanelProps) {
  const grades = useGrades();
  const minded = useMinded(chart);
  // Told while the chart stands as it was mended: what is undone or changed since was not done.
  const [otherwise, setOtherwise] = useState<{ done: string; steps: Chart['steps'] } | null>(null);
  if (!answer || !kit) return <Label>{msg`Looking the chart over`}</Label>;
  const lines = openLines(answer);
  const accepted = acceptedLines(answer);
  const grave = lines.some((l) => l.severity === 'stop');
  const fix = (line: ReviewLine): void => {
    const mended = fixed(chart, kit, grades, line, minded);
    if (!mended) return;
    setOtherwise(mended.done === line.fix ? null : { done: mended.done, steps: mended.chart.steps });
    onChange(mended.chart);
  };
  const row = (line: ReviewLine): ReactNode => (
    <FindingRow
      key={`${line.rule} ${line.stepIds.join()}`}
      line={line}
      editable={editable}
      onFix={() => fix(line)}
      onAccept={(why) => onChange(acceptFinding(chart, { ...line, fix: null }, why))}
      onSelect={() => line.stepIds[0] && onSelect(line.stepIds.at(-1)!)}
    />
  );
  return (
    <Column gap="$2" role="group" aria-label={msg`Review`}>
      <Body color={grave ? '$madder' : '$ink'}>{msg`Looked over: ${reviewInWords(lines)}.`}</Body>
      <Column role="status">
        {otherwise?.steps !== chart.steps ? null : (
          <Body color="$moss">{msg`✓ ${otherwise.done}: done instead, what was offered would raise something else.`}</Body>
        )}
      </Column>
      {gathered(lines).map((alike) =>
        alike.length === 1 ? (
          row(alike[0]!)
        ) : (
          <ManyAlike key={alike[0]!.rule} chart={chart} lines={alike}>
            {alike.map(row)}
          </ManyAlike>
        ),
      )}
      {accepted.length > 0 ? (
        <Column gap="$1">
          <Subheading fontSize="$2">{msg`Accepted as they are`}</Subheading>
          {accepted.map((line) => (
            <Label key={`${line.rule} ${line.stepIds.join()}`}>{`${line.message} “${line.accepted}”`}</Label>
          ))}
        </Column>
      ) : null}
    </Column>
  );
}
