import { msg } from '@toile/core';
import { Column, Label, Line, View } from '../../ui';

export type HalfMark = {
  readonly key: string;
  readonly words: string;
  /** A better is positive. */ readonly difference: number;
  /** Not counted, or nobody judged it: drawn lightly. */ readonly soft: boolean;
};

/** Beyond so much of a grade a bar is at its end. */
const MOST = 2;

/** A short bar for each: left of the middle B did better, right of it A; the same in words beside it. */
export function HalfBars({
  marks,
  a,
  b,
}: {
  readonly marks: readonly HalfMark[];
  readonly a: string;
  readonly b: string;
}) {
  if (marks.length === 0) return null;
  return (
    <Column gap="$1">
      <Line flexWrap="nowrap" justifyContent="space-between" gap="$3">
        <Label flex={1}>{msg`◂ ${b} better`}</Label>
        <Label flex={1} textAlign="right">{msg`${a} better ▸`}</Label>
      </Line>
      {marks.map(({ key, words, difference, soft }) => {
        const part = Math.min(1, Math.abs(difference) / MOST);
        return (
          <Line key={key} flexWrap="nowrap" gap="$2" minHeight={28}>
            <Label width={110}>{words}</Label>
            <View flex={1} height={16} flexDirection="row" borderColor="$line" borderWidth={1} aria-hidden>
              <Half part={difference < 0 ? part : 0} towards="flex-end" soft={soft} />
              <View width={1} backgroundColor="$ink" />
              <Half part={difference > 0 ? part : 0} towards="flex-start" soft={soft} />
            </View>
            <Label width={44} textAlign="right">
              {difference === 0
                ? msg`alike`
                : `${difference < 0 ? '◂ ' : ''}${Math.abs(difference).toFixed(1)}${difference > 0 ? ' ▸' : ''}`}
            </Label>
          </Line>
        );
      })}
    </Column>
  );
}

/** One side of the middle, filled as far as it goes. */
function Half({
  part,
  towards,
  soft,
}: {
  readonly part: number;
  readonly towards: 'flex-start' | 'flex-end';
  readonly soft: boolean;
}) {
  return (
    <View flex={1} flexDirection="row" justifyContent={towards}>
      <View height={14} backgroundColor={soft ? '$line' : '$woad'} style={{ width: `${100 * part}%` }} />
    </View>
  );
}
