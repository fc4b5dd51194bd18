import { useState } from 'react';
import { msg, type Chart, type Kit } from '@toile/core';
import { Button, Column } from '../../ui';
import { FaultFinder } from '../faults/FaultFinder';
import { withStepChange } from './chartView';

type FaultPanelProps = {
  readonly chart: Chart;
  readonly kit: Kit | undefined;
  readonly onChange: (chart: Chart) => void;
  readonly onSelect: (stepId: string) => void;
};

/** The fault finder at a trial: what is taken changes the step at once, to be saved with the next version. */
export function FaultPanel({ chart, kit, onChange, onSelect }: FaultPanelProps) {
  const [open, setOpen] = useState(false);
  return (
    <Column gap="$2">
      <Button onPress={() => setOpen((o) => !o)}>
        {open ? msg`Close the fault finder` : msg`Something looks wrong?`}
      </Button>
      {open ? (
        <FaultFinder
          chart={chart}
          kit={kit}
          seenAt={null}
          action={msg`Change it in this chart`}
          onTake={(_seen, { cause, step }) => {
            if (!step) return;
            onChange(withStepChange(chart, step.id, cause.remedy(step)));
            onSelect(step.id);
          }}
        />
      ) : null}
    </Column>
  );
}
