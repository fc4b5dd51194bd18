import { acceptFinding, msg, plural, type Chart, type ReviewFinding } from '@toile/core';
import { Body, Column, Label, Subheading } from '../../ui';
import { FindingRow } from '../review/FindingRow';

type FaceFindingsProps = {
  readonly chart: Chart;
  /** Null until it was looked at. */
  readonly findings: readonly ReviewFinding[] | null;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
  readonly onSelect: (stepId: string) => void;
};

/** What is to be looked at on the face itself, live while it is placed; accepted ones keep their reason. */
export function FaceFindings({ chart, findings, editable, onChange, onSelect }: FaceFindingsProps) {
  if (findings === null) return <Label>{msg`Looking the face over`}</Label>;
  const open = findings.filter((f) => f.accepted === null);
  const accepted = findings.filter((f) => f.accepted !== null);
  return (
    <Column gap="$2" role="status" aria-live="polite">
      {open.length === 0 ? (
        <Body color="$moss">{msg`✓ Every placement keeps its limits.`}</Body>
      ) : (
        <Subheading>{msg`${plural(open.length)`${open.length} thing|${open.length} things`} to look at`}</Subheading>
      )}
      {open.map((finding, i) => (
        <PlaceFinding
          key={`${finding.rule} ${finding.stepIds.join()} ${i}`}
          chart={chart}
          finding={finding}
          number={i + 1}
          editable={editable}
          onChange={onChange}
          onSelect={() => onSelect(finding.stepIds.at(-1) ?? '')}
        />
      ))}
      {accepted.map((finding, i) => (
        <Label key={i}>{msg`Stays as it is: ${finding.message} “${finding.accepted ?? ''}”`}</Label>
      ))}
    </Column>
  );
}

type PlaceFindingProps = {
  readonly chart: Chart;
  readonly finding: ReviewFinding;
  /** Its number on the face. */
  readonly number: number;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
  /** Leads to its step; left out where the step is open. */
  readonly onSelect?: () => void;
};

/** One thing to be looked at on the face, with what puts it right. */
export function PlaceFinding({ chart, finding, number, editable, onChange, onSelect }: PlaceFindingProps) {
  return (
    <FindingRow
      number={number}
      line={{ ...finding, fix: finding.fix?.label ?? null }}
      editable={editable}
      onFix={() => onChange(finding.fix?.apply(chart) ?? chart)}
      onAccept={(why) => onChange(acceptFinding(chart, finding, why))}
      onSelect={onSelect}
    />
  );
}
