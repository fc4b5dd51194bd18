import { useState } from 'react';
import { AUDIT_PAGE, type AuditLine, type MemberAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { useAudit } from '../../data/hooks';
import { Body, Button, Choice, Column, Label, Ready } from '../../ui';
import { instantInWords } from '../words/dates';
import { doneInWords } from './auditWords';

const EVERYBODY = '';

/** Who did what, newest first, of everybody or of one; older lines are asked for. */
export function AuditPart({ members }: { readonly members: readonly MemberAnswer[] }) {
  const [by, setBy] = useState(EVERYBODY);
  const [seen, setSeen] = useState<readonly AuditLine[]>([]);
  const page = useAudit(by, seen.at(-1)?.id ?? '');
  const lines = [...seen, ...(page.data ?? [])];
  const names = Object.fromEntries([[EVERYBODY, 'everybody'], ...members.map((m) => [m.id, m.name])]);
  return (
    <Column gap="$3">
      <Choice
        label={msg`Of whom`}
        options={Object.keys(names)}
        words={names}
        chosen={[by]}
        onChange={([next]) => {
          setSeen([]);
          setBy(next ?? EVERYBODY);
        }}
      />
      {lines.length === 0 ? null : (
        <Column gap="$2" role="list" aria-label={msg`Who did what`}>
          {lines.map((line) => (
            <Column key={line.id} gap={0} role="listitem">
              <Body>{doneInWords(line.route)}</Body>
              <Label>{`${line.by ?? msg`Nobody of the team`}, ${instantInWords(line.at)}`}</Label>
            </Column>
          ))}
        </Column>
      )}
      <Ready remote={page}>
        {(told) =>
          lines.length === 0 ? (
            <Body color="$inkSoft">{msg`Nothing yet.`}</Body>
          ) : told.length === AUDIT_PAGE ? (
            <Button onPress={() => setSeen(lines)}>{msg`Older lines`}</Button>
          ) : seen.length > 0 ? (
            <Label>{msg`That is all there is.`}</Label>
          ) : null
        }
      </Ready>
    </Column>
  );
}
