import { useRouter } from 'expo-router';
import { useState } from 'react';
import { CONSULT_QUESTIONS, msg, takenOver, type Consult } from '@toile/core';
import { type ClientAnswer } from '@toile/contract';
import { dropIfRefused } from '../../data/photos';
import { useDraft } from '../../data/useDraft';
import { Column, DraftNote, Screen } from '../../ui';
import { BegunClient, type Begun } from '../clients/BegunClient';
import { SaveFoot } from '../clients/SaveFoot';
import { useSaveClient } from '../clients/useSaveClient';
import { Questions } from './Questions';

/** The first talk at the table: the same questions as by link, with what is known already. */
export function ConsultScreen({ id }: { readonly id: string }) {
  return (
    <BegunClient id={id} title={msg`First talk`} draft="talk">
      {(begun) => <Talk {...begun} />}
    </BegunClient>
  );
}

/** What is known of a client already, as answers. */
function knownOf({ consult, features, guardianConsent, sensitivities }: ClientAnswer): Consult {
  return {
    ...consult,
    ...(features.oily.length > 0 ? { oily: [...features.oily] } : {}),
    ...(features.dry ? { dry: true } : {}),
    ...(features.dryZones && features.dryZones.length > 0 ? { dryZones: [...features.dryZones] } : {}),
    ...(features.lenses ? { lenses: true } : {}),
    ...(guardianConsent ? { guardian: guardianConsent.slice(0, 200) } : {}),
    ...(consult.keepHealth && sensitivities.length > 0 ? { sensitivities: [...sensitivities] } : {}),
  };
}

function Talk({ client, newest, take }: Begun) {
  const router = useRouter();
  const draft = useDraft<Consult>(`talk ${client.id} ${client.revision}`, () => knownOf(client));
  const from = (other: ClientAnswer): void => (draft.drop(), take(other));
  const saving = useSaveClient(client, from);
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const { value: answers, set } = draft;
  const save = async (over?: ClientAnswer): Promise<void> => {
    const start = over ?? client;
    // What was taken out again is out: everything else of the talk starts from nothing.
    const { features, sensitivities, guardianConsent, consult } = CONSULT_QUESTIONS.reduce(
      (record, { key }) => takenOver(record, answers, key),
      { ...start, consult: {} as Consult },
    );
    const { saved, refused } = await saving.save(
      { features, sensitivities: [...sensitivities], guardianConsent, consult },
      over,
    );
    if (saved) {
      await dropIfRefused(client.id, consult.photos);
      draft.drop();
      return router.navigate(`/clients/${client.id}`);
    }
    setErrors(
      Object.fromEntries(
        Object.entries(refused.fields).map(([path, message]) => [
          path.replace(/^consult\./, '').split(/[.[]/)[0]!,
          message,
        ]),
      ),
    );
  };
  return (
    <Screen
      title={msg`First talk`}
      above={client.name}
      widest={640}
      onBack={() => router.navigate(`/clients/${client.id}`)}
      foot={<SaveFoot saving={saving} words={msg`Keep what was said`} onSave={(over) => void save(over)} />}
    >
      <Column gap="$4">
        <DraftNote taken={draft.taken} anew={() => (draft.anew(), from(newest))} />
        <Questions answers={answers} onChange={set} errors={errors} />
      </Column>
    </Screen>
  );
}
