import { useDeferredValue, useMemo, useState } from 'react';
import { acceptFinding, chartAsReviewed, type Chart, type Kit, type RuleGrades } from '@toile/core';
import { useStudioSettings } from '../../data/hooks';
import { useSame } from '../../data/useSame';
import { Body, Button, Column, Label, Line, Subheading } from '../../ui';
import { askFitting, useWork } from '../../workers';
import { FindingRow } from './FindingRow';
import { acceptedLines, fixed, openLines, reviewInWords } from './reviewView';

type ReviewPanelProps = {
  readonly chart: Chart;
  readonly kit: Kit | undefined;
  readonly editable: boolean;
  readonly onChange: (chart: Chart) => void;
  readonly onSelect: (stepId: string) => void;
};

const NO_GRADES: RuleGrades = {};

/**
 * What a second pair of eyes would ask before it is on the skin: each with its reason, a fix where there is
 * one, or accepted for a reason.
 */
export function ReviewPanel({ chart, kit, editable, onChange, onSelect }: ReviewPanelProps) {
  const settings = useStudioSettings();
  const grades = settings.data?.settings.ruleGrades ?? NO_GRADES;
  // Of a note only what rules look for: the rest changes nothing here.
  const drawn = useSame(useDeferredValue(useMemo(() => chartAsReviewed(chart), [chart])));
  const asked = useMemo(() => (kit ? { chart: drawn, kit, grades } : null), [drawn, kit, grades]);
  const { answer } = useWork(askFitting, 'review', asked);
  const [open, setOpen] = useState(false);
  if (!answer || !kit) return <Label>Looking the chart over</Label>;
  const lines = openLines(answer);
  const accepted = acceptedLines(answer);
  const grave = lines.filter((l) => l.severity === 'stop');
  const shown = open ? lines : grave;
  return (
    <Column gap="$2" role="group" aria-label="Review">
      <Line justifyContent="space-between" flexWrap="nowrap">
        <Body
          flex={1}
          color={grave.length > 0 ? '$madder' : '$ink'}
        >{`Looked over: ${reviewInWords(lines)}.`}</Body>
        {lines.length + accepted.length > 0 ? (
          <Button label={open ? 'Close the review' : 'Show the review'} onPress={() => setOpen((o) => !o)}>
            {open ? 'Close' : 'Show'}
          </Button>
        ) : null}
      </Line>
      {shown.map((line) => (
        <FindingRow
          key={`${line.rule} ${line.stepIds.join()}`}
          line={line}
          editable={editable}
          onFix={() => onChange(fixed(chart, kit, grades, line))}
          onAccept={(why) => onChange(acceptFinding(chart, { ...line, fix: null }, why))}
          onSelect={() => line.stepIds[0] && onSelect(line.stepIds.at(-1)!)}
        />
      ))}
      {open && accepted.length > 0 ? (
        <Column gap="$1">
          <Subheading fontSize="$2">Accepted as they are</Subheading>
          {accepted.map((line) => (
            <Label key={`${line.rule} ${line.stepIds.join()}`}>{`${line.message} “${line.accepted}”`}</Label>
          ))}
        </Column>
      ) : null}
    </Column>
  );
}
