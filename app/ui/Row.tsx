import type { ReactNode } from 'react';
import { Column, View } from './layout';
import { Body, Figure, Label } from './Text';
import { useColours } from './theme';
import { Touch } from './Touch';

type RowProps = {
  readonly title: string;
  readonly detail?: string;
  /** The one fact that decides, at the right. */
  readonly fact?: string;
  readonly before?: ReactNode;
  readonly chosen?: boolean;
  readonly label?: string;
  /** Where it leads; */
  readonly href?: string;
  /** or what it does. */
  readonly onPress?: () => void;
};

/** With a space behind: read in one go, what stands in columns is not run together. */
const said = (words: string): string => `${words} `;

/** One line of a list: 56 px or more, the deciding fact at its end. */
export function Row({ title, detail, fact, before, chosen = false, label, href, onPress }: RowProps) {
  const c = useColours();
  return (
    <Touch
      role={href === undefined ? 'button' : 'link'}
      aria-label={label ?? [title, detail, fact].filter(Boolean).join(', ')}
      aria-current={chosen ? 'page' : undefined}
      href={href}
      onPress={onPress}
      look={({ pressed }) => ({
        minHeight: 56,
        paddingVertical: 8,
        paddingHorizontal: 4,
        flexDirection: 'row',
        alignItems: 'center',
        gap: 12,
        borderBottomWidth: 1,
        borderBottomColor: c.line,
        borderLeftWidth: chosen ? 4 : 0,
        borderLeftColor: c.woad,
        backgroundColor: pressed ? c.raised : 'transparent',
      })}
    >
      {before}
      <Column gap={2} flex={1} paddingLeft={chosen ? 8 : 0}>
        <Body textAlign="left" fontWeight={chosen ? '700' : '400'}>
          {said(title)}
        </Body>
        {detail ? <Label textAlign="left">{said(detail)}</Label> : null}
      </Column>
      {fact ? (
        <View maxWidth={130}>
          <Figure color="$inkSoft" fontSize="$2" lineHeight="$2" textAlign="right">
            {fact}
          </Figure>
        </View>
      ) : null}
    </Touch>
  );
}
