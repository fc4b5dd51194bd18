import type { ReactNode } from 'react';
import { Pressable } from 'react-native';
import { msg, term, type Point } from '@toile/core';
import { Body, Column, Line, useColours } from '../../ui';
import { zoomed, type Box } from './DrawSurface';
import { BREADTHS, type Breadth, type DrawingState } from './useDrawing';
import type { UndoSteps } from './useUndo';

type DrawToolsProps = {
  readonly state: DrawingState;
  readonly view: Box;
  readonly undo: UndoSteps;
};

const NAMES = Object.keys(BREADTHS) as Breadth[];

/**
 * What is chosen while drawing, in two rows under the face: brush or eraser, breadth, both sides, following
 * the guide, zoom, undo.
 */
export function DrawTools({ state, view, undo }: DrawToolsProps) {
  const { drawing, set, stop } = state;
  if (!drawing) return null;
  const zoom = (factor: number): void => {
    const middle: Point = [view[0] + view[2] / 2, view[1] + view[3] / 2];
    set({ view: zoomed(view, middle, factor) });
  };
  const next = NAMES[(NAMES.indexOf(drawing.breadth) + 1) % NAMES.length]!;
  return (
    <Column
      gap="$1"
      role="group"
      aria-label={msg`Drawing by hand`}
      backgroundColor="$background"
      paddingVertical="$1"
    >
      <Line flexWrap="nowrap" gap="$1">
        <Tool label={msg`Undo`} words="↶" disabled={!undo.canUndo} onPress={undo.undo} />
        <Tool label={msg`Redo`} words="↷" disabled={!undo.canRedo} onPress={undo.redo} />
        <Tool label={msg`Brush`} on={drawing.tool === 'draw'} onPress={() => set({ tool: 'draw' })} />
        <Tool label={msg`Eraser`} on={drawing.tool === 'erase'} onPress={() => set({ tool: 'erase' })} />
        <Tool
          label={msg`Breadth ${term(drawing.breadth)}`}
          words={term(drawing.breadth)}
          onPress={() => set({ breadth: next })}
        />
      </Line>
      <Line flexWrap="nowrap" gap="$1">
        <Tool
          label={msg`Both sides`}
          on={drawing.mirrored}
          onPress={() => set({ mirrored: !drawing.mirrored })}
        />
        <Tool
          label={msg`Follow the guide`}
          words={msg`Follow`}
          on={drawing.snap}
          onPress={() => set({ snap: !drawing.snap })}
        />
        <Tool label={msg`Nearer`} words="+" onPress={() => zoom(0.7)} />
        <Tool label={msg`Further`} words="−" onPress={() => zoom(1.4)} />
        <Tool label={msg`Done drawing`} words={msg`Done`} main onPress={stop} />
      </Line>
    </Column>
  );
}

type ToolProps = {
  readonly label: string;
  readonly words?: ReactNode;
  /** Chosen or not; left out for what is done once. */
  readonly on?: boolean;
  readonly main?: boolean;
  readonly disabled?: boolean;
  readonly onPress: () => void;
};

function Tool({ label, words = label, on, main = false, disabled = false, onPress }: ToolProps) {
  const c = useColours();
  const filled = main ? c.woad : on ? c.ink : c.surface;
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-pressed={on}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      style={{
        flexGrow: 1,
        minHeight: 44,
        minWidth: 44,
        paddingHorizontal: 8,
        alignItems: 'center',
        justifyContent: 'center',
        borderWidth: 1,
        borderRadius: 2,
        borderColor: on === false ? c.line : c.inkSoft,
        backgroundColor: filled,
        opacity: disabled ? 0.45 : 1,
      }}
    >
      <Body fontSize="$2" lineHeight="$2" color={main ? '$onWoad' : on ? '$onInk' : '$ink'}>
        {on ? <>✓ {words}</> : words}
      </Body>
    </Pressable>
  );
}
