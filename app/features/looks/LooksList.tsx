import { usePathname } from 'expo-router';
import { useLooks } from '../../data/hooks';
import { Column, Empty, Ready, Row, Screen } from '../../ui';
import { LookPicture } from './LookPicture';

/** The library of looks. */
export function LooksList() {
  const looks = useLooks();
  const path = usePathname();
  return (
    <Screen title="Looks">
      <Ready remote={looks}>
        {(list) =>
          list.length === 0 ? (
            <NoLooks />
          ) : (
            <Column gap={0}>
              {list.map((look) => (
                <Row
                  key={look.id}
                  before={<LookPicture id={look.id} name={look.name} height={76} width={60} />}
                  title={look.name}
                  detail={look.description}
                  fact={`${look.minutes} min`}
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

/** What an empty library says. */
export function NoLooks() {
  return (
    <Empty
      title="No looks yet"
      words="A look is cut once and fitted to any face. They come with the studio’s file."
    />
  );
}
