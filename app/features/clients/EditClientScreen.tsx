import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'expo-router';
import { useForm } from 'react-hook-form';
import { clientFormSchema, type ClientAnswer, type ClientForm } from '@toile/contract';
import { msg } from '@toile/core';
import { useFormDraft } from '../../data/useDraft';
import { DraftNote, Screen } from '../../ui';
import { BegunClient, type Begun } from './BegunClient';
import { clientBody } from './clientBody';
import { ClientFormFields } from './ClientFormFields';
import { SaveFoot } from './SaveFoot';
import { useSaveClient } from './useSaveClient';

/** What is kept of a client beside face and skin, changed. */
export function EditClientScreen({ id }: { readonly id: string }) {
  return (
    <BegunClient id={id} title={msg`Details`} draft="client">
      {(begun) => <Edit {...begun} />}
    </BegunClient>
  );
}

function Edit({ client, newest, take }: Begun) {
  const router = useRouter();
  const { name, phone, email, birthYear, guardianConsent, sensitivities, notes } = clientBody(client);
  const details = useForm({
    resolver: yupResolver(clientFormSchema),
    defaultValues: { name, phone, email, birthYear, guardianConsent, sensitivities, notes },
  });
  const { control, handleSubmit, setError } = details;
  const draft = useFormDraft(`client ${client.id} ${client.revision}`, details);
  const from = (other: ClientAnswer): void => (draft.drop(), take(other));
  const saving = useSaveClient(client, from);
  const save = (over?: ClientAnswer): Promise<void> =>
    handleSubmit(async (form) => {
      const { saved, refused } = await saving.save(form, over);
      if (saved) {
        draft.drop();
        return router.navigate(`/clients/${client.id}`);
      }
      for (const [path, message] of Object.entries(refused.fields))
        setError(path as keyof ClientForm, { message });
    })();
  return (
    <Screen
      title={msg`Details`}
      above={client.name}
      widest={640}
      onBack={() => router.navigate(`/clients/${client.id}`)}
      foot={<SaveFoot saving={saving} words={msg`Save the details`} onSave={(over) => void save(over)} />}
    >
      <DraftNote taken={draft.taken} anew={() => (draft.anew(), from(newest))} />
      <ClientFormFields control={control} />
    </Screen>
  );
}
