import { useRouter } from 'expo-router';
import { useState } from 'react';
import { msg, type Look } from '@toile/core';
import { useLook } from '../../data/hooks';
import { Ready, Screen } from '../../ui';
import { LookWorkshop } from './LookWorkshop';

/** The next version of a look: its steps and places, its name, words, tags and prohibitions. */
export function EditLookScreen({ id }: { readonly id: string }) {
  const answer = useLook(id);
  const router = useRouter();
  if (answer.data) return <Edit look={answer.data.look} />;
  return (
    <Screen title={msg`Edit the look`} onBack={() => router.navigate(`/looks/${id}`)}>
      <Ready remote={answer}>{() => null}</Ready>
    </Screen>
  );
}

/**
 * Worked on from the version it was opened at, whatever is saved meanwhile, until somebody takes what is
 * there now.
 */
function Edit({ look }: { readonly look: Look }) {
  const router = useRouter();
  const [base, setBase] = useState(look);
  return (
    <LookWorkshop
      key={base.version}
      start={() => base}
      draftName={`look ${base.id} ${base.version}`}
      isNew={false}
      onTheirs={setBase}
      onBack={() => router.navigate(`/looks/${look.id}`)}
    />
  );
}
