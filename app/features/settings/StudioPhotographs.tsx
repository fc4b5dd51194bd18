import type { StudioSettingsAnswer } from '@toile/contract';
import { messages, msg, term } from '@toile/core';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Choice, Column, Label } from '../../ui';

const WORDS = messages({ device: 'on the device that took them', studio: 'with the studio' } as const);

/** Where photographs clients agreed to are kept, for the whole studio. */
export function StudioPhotographs({
  answer,
  mayChange,
}: {
  readonly answer: StudioSettingsAnswer;
  readonly mayChange: boolean;
}) {
  const refresh = useRefresh();
  const { failure, save } = useSaving();
  const where = answer.settings.keepsPhotographs ? 'studio' : 'device';
  if (!mayChange) return <Body color="$inkSoft">{msg`Photographs are kept ${term(WORDS[where])}.`}</Body>;
  return (
    <Column gap="$1">
      <Choice
        label={msg`Photographs clients agreed to are kept`}
        options={['device', 'studio'] as const}
        words={WORDS}
        chosen={[where]}
        onChange={([to]) =>
          to &&
          void save(async () => {
            const saved = await call('updateStudioSettings', {
              body: { ...answer.settings, keepsPhotographs: to === 'studio' },
              revision: answer.revision,
            });
            await refresh({ name: 'studioSettings', params: {}, answer: saved });
          })
        }
      />
      <Label>{msg`With the studio, the team sees them, they are in its backups, and they go when a client no longer agrees or is erased. What is kept already stays where it is.`}</Label>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </Column>
  );
}
