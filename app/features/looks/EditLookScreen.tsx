import { useRouter } from 'expo-router';
import { useLook } from '../../data/hooks';
import { Ready, Screen } from '../../ui';
import { LookWorkshop } from './LookWorkshop';

/** The next version of a look: its steps and places, its name, words, tags and prohibitions. */
export function EditLookScreen({ id }: { readonly id: string }) {
  const { data, ...answer } = useLook(id);
  const router = useRouter();
  const back = (): void => router.navigate(`/looks/${id}`);
  if (!data)
    return (
      <Screen title="Edit the look" onBack={back}>
        <Ready remote={{ data, ...answer }}>{() => null}</Ready>
      </Screen>
    );
  const { look } = data;
  return (
    <LookWorkshop
      key={look.version}
      start={() => look}
      draftName={`look ${look.id} ${look.version}`}
      isNew={false}
      onBack={back}
    />
  );
}
