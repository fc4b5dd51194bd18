import { usePathname } from 'expo-router';
import { msg } from '@toile/core';
import { useLooks } from '../../data/hooks';
import { Column, Empty, Ready, Row, Screen } from '../../ui';
import { LookPicture } from './LookPicture';
import { LooksFoot } from './LooksFoot';

/** The library of looks. */
export function LooksList() {
  const looks = useLooks();
  const path = usePathname();
  return (
    <Screen title={msg`Looks`} foot={<LooksFoot />}>
      <Ready remote={looks}>
        {(list) =>
          list.length === 0 ? (
            <NoLooks />
          ) : (
            <Column gap={0}>
              {proposedFirst(list).map((look) => (
                <Row
                  key={look.id}
                  before={<LookPicture id={look.id} name={look.name} height={76} width={60} />}
                  title={look.name}
                  detail={look.retired ? msg`no longer proposed · ${look.description}` : look.description}
                  fact={msg`${look.minutes} min`}
                  chosen={path === `/looks/${look.id}`}
                  href={`/looks/${look.id}`}
                />
              ))}
            </Column>
          )
        }
      </Ready>
    </Screen>
  );
}

/** Those that are proposed, then those that no longer are, each by name. */
export const proposedFirst = <L extends { readonly retired: boolean }>(looks: readonly L[]): L[] => [
  ...looks.filter((look) => !look.retired),
  ...looks.filter((look) => look.retired),
];

/** What an empty library says. */
export function NoLooks() {
  return (
    <Empty
      title={msg`No looks yet`}
      words={msg`A look is cut once and fitted to any face. Put one together, cut one from a chart, or bring in a file.`}
    />
  );
}
