import { msg } from '@toile/core';
import type { Work } from '../../workers';
import type { Offered, Reasons } from '../../workers/planJobs';
import { Body, Button, Column, Label, Progress, Subheading } from '../../ui';
import { withHours } from '../words/dates';

/** Why somebody would be late, in one sentence, and what would help, cheapest first. */
export function WhyPanel({
  why,
  busy,
  onTake,
}: {
  readonly why: Work<Reasons>;
  readonly busy: boolean;
  readonly onTake: (way: Offered) => void;
}) {
  const { answer } = why;
  return (
    <Column gap="$2" padding="$3" backgroundColor="$surface" borderTopWidth={2} borderTopColor="$ink">
      <Subheading>{msg`Why, and what would help`}</Subheading>
      {answer?.explained.alone.map((one) => (
        <Body key={one.person}>{withHours(one.words)}</Body>
      ))}
      {answer ? <Body aria-live="polite">{withHours(answer.explained.words)}</Body> : null}
      {why.error ? <Body role="alert" color="$madder">{`▲ ${why.error}`}</Body> : null}
      {answer?.ways.map((way) => (
        <Button key={way.words} disabled={busy} onPress={() => onTake(way)}>
          {withHours(way.words)}
        </Button>
      ))}
      {why.busy ? (
        <Progress words={msg`Trying what would help`} share={why.share} onStop={why.stop} />
      ) : answer && answer.ways.length === 0 ? (
        <Label>{msg`Nothing by itself is enough. Change more than one thing: begin earlier, and one more artist.`}</Label>
      ) : answer ? (
        <Label>{msg`Each of these alone is enough for everybody to be in time.`}</Label>
      ) : null}
    </Column>
  );
}
