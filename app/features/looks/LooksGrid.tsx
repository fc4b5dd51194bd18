import { msg, plural } from '@toile/core';
import { useLooks } from '../../data/hooks';
import { Body, Column, Label, Ready, Screen, Touch, useColours } from '../../ui';
import { LookPicture } from './LookPicture';
import { LooksFoot } from './LooksFoot';
import { NoLooks, proposedFirst } from './LooksList';

/** The library on a wide screen: looks as pictures. */
export function LooksGrid() {
  const looks = useLooks();
  const c = useColours();
  return (
    <Screen title={msg`Looks`} foot={<LooksFoot />} widest={1600}>
      <Ready remote={looks}>
        {(list) =>
          list.length === 0 ? (
            <NoLooks />
          ) : (
            <div
              role="list"
              style={{
                display: 'grid',
                gap: 16,
                gridTemplateColumns: 'repeat(auto-fill, minmax(240px, 1fr))',
              }}
            >
              {proposedFirst(list).map((look) => (
                <Column key={look.id} role="listitem" gap={0}>
                  <Touch
                    role="link"
                    href={`/looks/${look.id}`}
                    aria-label={msg`${look.name}, ${look.description}, ${look.minutes} min · ${plural(look.stepCount)`one step|${look.stepCount} steps`}`}
                    look={({ pressed }) => ({
                      gap: 8,
                      paddingBottom: 12,
                      borderBottomWidth: 1,
                      borderBottomColor: c.line,
                      opacity: pressed ? 0.75 : 1,
                    })}
                  >
                    <LookPicture id={look.id} name={look.name} height={260} />
                    <Body fontWeight="700">{`${look.name} `}</Body>
                    <Label numberOfLines={2}>{`${look.description} `}</Label>
                    <Label>
                      {msg`${look.retired ? msg`no longer proposed · ` : ''}${look.minutes} min · ${plural(look.stepCount)`one step|${look.stepCount} steps`}`}
                    </Label>
                  </Touch>
                </Column>
              ))}
            </div>
          )
        }
      </Ready>
    </Screen>
  );
}
