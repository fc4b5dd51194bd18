import { msg } from '@toile/core';
import { Button, Column, Label, Line } from '../../ui';
import { dayInWords } from '../words/dates';

/** A link somebody was given: it ends by itself, or stays, and may be taken back. */
export type GivenLink = {
  readonly id: string;
  readonly expiresAt: string | null;
  readonly revokedAt: string | null;
};

type LinksGivenProps<L extends GivenLink> = {
  readonly label: string;
  readonly links: readonly L[];
  /** What it shows and who made it: 'Version 2 by Ada'. */ readonly wordsOf: (link: L) => string;
  /** What its button takes back, said whole. */ readonly takes: (link: L) => string;
  readonly busy: boolean;
  readonly now: number;
  readonly onRevoke: (link: L) => void;
};

/** Links that were given, each with when it ends, and taken back by one touch. */
export function LinksGiven<L extends GivenLink>({
  label,
  links,
  wordsOf,
  takes,
  busy,
  now,
  onRevoke,
}: LinksGivenProps<L>) {
  return (
    <Column gap="$1" role="list" aria-label={label}>
      {links.map((link) => (
        <Line key={link.id} role="listitem" flexWrap="nowrap">
          <Label flex={1}>{`${wordsOf(link)}, ${endWords(link, now)}`}</Label>
          {isOver(link, now) ? null : (
            <Button
              disabled={busy}
              label={takes(link)}
              onPress={() => onRevoke(link)}
            >{msg`Take back`}</Button>
          )}
        </Line>
      ))}
    </Column>
  );
}

const isOver = ({ expiresAt, revokedAt }: GivenLink, now: number): boolean =>
  revokedAt !== null || (expiresAt !== null && Date.parse(expiresAt) <= now);

/** 'until 14 May', 'ended', 'taken back', 'stays'. */
export function endWords(link: GivenLink, now: number): string {
  if (link.revokedAt !== null) return msg`taken back`;
  if (isOver(link, now)) return msg`ended`;
  return link.expiresAt === null ? msg`stays` : msg`until ${dayInWords(link.expiresAt)}`;
}
