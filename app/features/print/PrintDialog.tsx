import { useState } from 'react';
import { pathTo } from '@toile/contract';
import { messages, msg } from '@toile/core';
import { Body, Button, Choice, Column, Dialog, Label, Line, Switch } from '../../ui';
import { pictureOf } from './pictureOf';

type PrintDialogProps = { readonly chartId: string; readonly version: number; readonly onClose: () => void };

const PAPER_WORDS = messages({ a4: 'A4', letter: 'Letter' } as const);
type PrintPaper = keyof typeof PAPER_WORDS;

/** A chart on one page, or as a picture the size of a phone. */
export function PrintDialog({ chartId, version, onClose }: PrintDialogProps) {
  const [paper, setPaper] = useState<PrintPaper>('a4');
  const [colour, setColour] = useState(true);
  const [cautions, setCautions] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const address = (as: 'pdf' | 'svg', on: PrintPaper | 'phone'): string =>
    pathTo(
      'printChart',
      { id: chartId },
      {
        as,
        paper: on,
        colour: colour ? 'yes' : 'no',
        cautions: cautions ? 'yes' : 'no',
        version: String(version),
      },
    );
  const picture = async (): Promise<void> => {
    setBusy(true);
    setFailure(null);
    try {
      const link = document.createElement('a');
      link.href = await pictureOf(address('svg', 'phone'));
      link.download = `chart-${version}.png`;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
    } catch (error) {
      setFailure(error instanceof Error ? error.message : msg`The picture could not be made. Try again.`);
    }
    setBusy(false);
  };
  return (
    <Dialog title={msg`Print the chart`} onClose={onClose}>
      <Column gap="$3">
        <Choice
          label={msg`Paper`}
          options={['a4', 'letter'] as const}
          words={PAPER_WORDS}
          chosen={[paper]}
          onChange={([p]) => p && setPaper(p)}
        />
        <Switch label={msg`In colour`} on={colour} onToggle={() => setColour((c) => !c)} />
        <Switch
          label={msg`With the client’s cautions`}
          on={cautions}
          onToggle={() => setCautions((c) => !c)}
        />
        <Label>{msg`Without colour every kind of layer is told by its pattern, notch and number.`}</Label>
        {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
        <Line>
          <Button
            kind="main"
            onPress={() => window.location.assign(address('pdf', paper))}
          >{msg`PDF`}</Button>
          <Button onPress={() => window.location.assign(address('svg', paper))}>{msg`SVG`}</Button>
          <Button disabled={busy} onPress={() => void picture()}>
            {busy ? msg`Making the picture` : msg`Picture for a phone`}
          </Button>
        </Line>
      </Column>
    </Dialog>
  );
}
