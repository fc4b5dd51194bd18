import { msg } from '@toile/core';
import { Column, CopyButton, Field, Line } from '../../ui';

/** A link that was just made: its secret is in no record, so it is shown this once. */
export function LinkShown({
  link,
  label = msg`The link, shown this once`,
}: {
  readonly link: string;
  readonly label?: string;
}) {
  return (
    <Column gap="$1">
      <Field label={label} value={link} onChange={() => undefined} />
      <Line>
        <CopyButton text={link} words={msg`Copy the link`} />
      </Line>
    </Column>
  );
}
