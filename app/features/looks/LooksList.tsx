import { usePathname } from 'expo-router';
import { useLooks } from '../../data/hooks';
import { Column, Empty, Ready, Row, Screen } from '../../ui';

/** The library of looks. */
export function LooksList() {
  const looks = useLooks();
  const path = usePathname();
  return (
    <Screen title="Looks">
      <Ready remote={looks}>
        {(list) =>
          list.length === 0 ? (
            <Empty
              title="No looks yet"
              words="A look is cut once and fitted to any face. They come with the studio’s file."
            />
          ) : (
            <Column gap={0}>
              {list.map((look) => (
                <Row
                  key={look.id}
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
