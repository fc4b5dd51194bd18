import type { FieldProblem } from '@toile/contract';
import { msg } from '@toile/core';
import { Body, Column, Figure, Label, Subheading } from '../../ui';

export type FileFailure = { readonly words: string; readonly fields: readonly FieldProblem[] };

/** Why a file was refused: where in it, and what was expected there. */
export function FileProblems({ file, failure }: { readonly file: string; readonly failure: FileFailure }) {
  return (
    <Column role="alert" gap="$2">
      <Subheading color="$madder">{`▲ ${file}: ${failure.words}`}</Subheading>
      {failure.fields.map((f, i) => (
        <Column key={i} gap={0}>
          <Figure>
            {f.line === undefined
              ? f.path
              : msg`Line ${f.line}, column ${f.column ?? 1}${f.path ? msg`, at ${f.path}` : ''}`}
          </Figure>
          <Body>{f.message}</Body>
        </Column>
      ))}
      <Label>{msg`Nothing in the studio has changed.`}</Label>
    </Column>
  );
}
