import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'expo-router';
import { useForm } from 'react-hook-form';
import { clientFormSchema, type ClientAnswer, type ClientForm } from '@toile/contract';
import { useClient } from '../../data/hooks';
import { useFormDraft } from '../../data/useDraft';
import { DraftNote, Ready, Screen } from '../../ui';
import { clientBody } from './clientBody';
import { ClientFormFields } from './ClientFormFields';
import { SaveFoot } from './SaveFoot';
import { useSaveClient } from './useSaveClient';

/** What is kept of a client beside face and skin, changed. */
export function EditClientScreen({ id }: { readonly id: string }) {
  const client = useClient(id);
  const router = useRouter();
  if (client.data) return <Edit key={client.data.revision} client={client.data} />;
  return (
    <Screen title="Details" onBack={() => router.navigate(`/clients/${id}`)}>
      <Ready remote={client}>{() => null}</Ready>
    </Screen>
  );
}

function Edit({ client }: { readonly client: ClientAnswer }) {
  const router = useRouter();
  const saving = useSaveClient(client);
  const { name, phone, email, birthYear, guardianConsent, sensitivities, notes } = clientBody(client);
  const details = useForm({
    resolver: yupResolver(clientFormSchema),
    defaultValues: { name, phone, email, birthYear, guardianConsent, sensitivities, notes },
  });
  const { control, handleSubmit, setError } = details;
  const draft = useFormDraft(`client ${client.id} ${client.revision}`, details);
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
      title="Details"
      above={client.name}
      widest={640}
      onBack={() => router.navigate(`/clients/${client.id}`)}
      foot={<SaveFoot saving={saving} words="Save the details" onSave={(over) => void save(over)} />}
    >
      <DraftNote {...draft} />
      <ClientFormFields control={control} />
    </Screen>
  );
}
