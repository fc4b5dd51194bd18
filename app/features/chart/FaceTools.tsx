import { msg, term } from '@toile/core';
import { Button, Grip, Line, Menu, View, type MenuItem } from '../../ui';
import type { FaceSizing } from './useFaceSize';
import type { UndoSteps } from './useUndo';

type FaceToolsProps = {
  readonly undo: UndoSteps;
  readonly editable: boolean;
  readonly bare: boolean;
  readonly onBare: (bare: boolean) => void;
  /** Left out where the face keeps its size. */
  readonly sizing?: FaceSizing;
  readonly more: readonly MenuItem[];
};

/** One row under the face: back and forth, before and after, its size, and all that is rarely done. */
export function FaceTools({ undo, editable, bare, onBare, sizing, more }: FaceToolsProps) {
  return (
    <Line gap="$1" paddingVertical="$1">
      {editable ? (
        <>
          <Button label={msg`Undo`} disabled={!undo.canUndo} onPress={undo.undo}>
            ↶
          </Button>
          <Button label={msg`Redo`} disabled={!undo.canRedo} onPress={undo.redo}>
            ↷
          </Button>
        </>
      ) : null}
      <Button label={bare ? msg`Show the layers` : msg`Show the face before`} onPress={() => onBare(!bare)}>
        {bare ? msg`After` : msg`Before`}
      </Button>
      <View flexGrow={1} flexShrink={1} alignItems="center">
        {sizing ? <Grip label={msg`Size of the face: ${term(sizing.size)}`} {...sizing} /> : null}
      </View>
      {more.length > 0 ? <Menu label={msg`More of this chart`} items={more} /> : null}
    </Line>
  );
}
