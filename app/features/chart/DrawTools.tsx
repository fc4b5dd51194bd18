import type { Point } from '@toile/core';
import { Button, Choice, Column, Line, Switch } from '../../ui';
import { zoomed, type Box } from './DrawSurface';
import { BREADTHS, type Breadth, type DrawingState } from './useDrawing';

/** What is chosen while drawing: pen or eraser, breadth, one side or both, following the guide, zoom. */
export function DrawTools({ state, view }: { readonly state: DrawingState; readonly view: Box }) {
  const { drawing, set, stop } = state;
  if (!drawing) return null;
  const zoom = (factor: number): void => {
    const middle: Point = [view[0] + view[2] / 2, view[1] + view[3] / 2];
    set({ view: zoomed(view, middle, factor) });
  };
  return (
    <Column gap="$2" role="group" aria-label="Drawing by hand">
      <Line flexWrap="nowrap">
        <Button kind="main" grow onPress={stop}>
          Done drawing
        </Button>
        <Button label="Nearer" onPress={() => zoom(0.7)}>
          +
        </Button>
        <Button label="Further" onPress={() => zoom(1.4)}>
          −
        </Button>
        <Button onPress={() => set({ view: null })}>Whole</Button>
      </Line>
      <Choice
        label="In hand"
        options={['draw', 'erase'] as const}
        words={{ draw: 'brush', erase: 'eraser' }}
        chosen={[drawing.tool]}
        onChange={([tool]) => tool && set({ tool })}
      />
      <Choice label="How broad" options={Object.keys(BREADTHS) as Breadth[]} chosen={[drawing.breadth]} onChange={([breadth]) => breadth && set({ breadth })} />
      <Switch label="On both sides, mirrored" on={drawing.mirrored} onToggle={() => set({ mirrored: !drawing.mirrored })} />
      <Switch label="Follow the guide when near it" on={drawing.snap} onToggle={() => set({ snap: !drawing.snap })} />
    </Column>
  );
}
