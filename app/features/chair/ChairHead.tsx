import { msg, type DryingStep } from '@toile/core';
import { Body, BackIcon, Button, Column, Figure, Label, Line, useColours } from '../../ui';
import { useThemeChoice } from '../settings/theme';
import { clockOf } from './chairView';
import type { ChairWork } from './useChair';

type ChairHeadProps = {
  readonly chair: ChairWork;
  /** 'Step 7 of 19', and what is left for whom. */
  readonly title: string;
  readonly detail: string;
  /** What is drying, until which minute of the clock. */
  readonly running: readonly DryingStep[];
  /** What has just dried. */
  readonly dried: readonly DryingStep[];
  readonly now: number;
  readonly onLeave: () => void;
};

/** Over the step: how far, how the sending goes, what dries. */
export function ChairHead({ chair, title, detail, running, dried, now, onLeave }: ChairHeadProps) {
  return (
    <>
      <Line paddingHorizontal="$2" minHeight={52}>
        <Button label={msg`Leave the chair`} onPress={onLeave}>
          <BackMark />
        </Button>
        <Column gap={0} flexGrow={1} flexShrink={1} flexBasis={120}>
          <Body fontWeight="700">{title}</Body>
          <Label numberOfLines={1}>{detail}</Label>
        </Column>
        <SendState chair={chair} />
        <DimRoom />
      </Line>
      <SendTrouble chair={chair} />
      {running.length > 0 ? (
        <Line paddingHorizontal="$4" gap="$4" role="timer">
          {running.map((w) => (
            <Figure
              key={w.stepId}
              fontSize="$4"
              color="$weld"
            >{`◷ ${w.title} ${clockOf(w.untilMinutes * 60 - now / 1000)}`}</Figure>
          ))}
        </Line>
      ) : null}
      <Line paddingHorizontal="$4" gap="$4" role="status" aria-live="polite">
        {dried.map(({ stepId, title }) => (
          <Body key={stepId} fontWeight="700" color="$weld">{msg`✓ ${title}: dry`}</Body>
        ))}
      </Line>
    </>
  );
}

/** Dark for a dim room, and back. */
function DimRoom() {
  const { theme, choose } = useThemeChoice();
  const dim = theme === 'dark';
  return (
    <Button
      label={dim ? msg`Light for a bright room` : msg`Dark for a dim room`}
      onPress={() => choose(dim ? 'light' : 'dark')}
    >
      {dim ? '☀' : '☾'}
    </Button>
  );
}

function BackMark() {
  const c = useColours();
  return <BackIcon color={c.ink} size={24} />;
}

/** How the sending goes, in a word or a button beside the step. */
function SendState({ chair }: { readonly chair: ChairWork }) {
  if (chair.failure)
    return <Button onPress={chair.sendAgain}>{msg`${chair.unsentCount} unsent, send`}</Button>;
  if (chair.refused.length > 0)
    return <Label color="$madder">{msg`▲ ${chair.refused.length} not taken`}</Label>;
  return <Label aria-live="polite">{chair.unsentCount > 0 ? msg`sending` : msg`✓ all saved`}</Label>;
}

/**
 * What is wrong with the sending, in a sentence over the whole width: beside the step there is no room for
 * one.
 */
function SendTrouble({ chair }: { readonly chair: ChairWork }) {
  const words = [
    ...(chair.failure && chair.onPageOnlyCount > 0
      ? [msg`This device is full: ${chair.onPageOnlyCount} only on this page. Keep it open.`]
      : []),
    ...(chair.refused.length > 0 ? [msg`${chair.refused.length} not taken: ${chair.refused[0]!}`] : []),
  ];
  return words.map((sentence) => (
    <Body key={sentence} role="alert" paddingHorizontal="$4" color="$madder">{`▲ ${sentence}`}</Body>
  ));
}
