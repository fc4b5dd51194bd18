import type { StudioSettingsAnswer } from '@toile/contract';
import { call, currentOf } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useAsChanged, type AsChanged } from '../../data/useAsChanged';

const revisionOf = ({ revision }: StudioSettingsAnswer): number => revision;
const settingsOf = ({ settings }: StudioSettingsAnswer): StudioSettingsAnswer['settings'] => settings;

/** The studio's settings where each choice is kept as it is made. */
export function useStudioKept(answer: StudioSettingsAnswer): AsChanged<StudioSettingsAnswer['settings']> {
  const refresh = useRefresh();
  return useAsChanged({
    newest: answer,
    stampOf: revisionOf,
    valueOf: settingsOf,
    send: async (base, body) => {
      try {
        const saved = await call('updateStudioSettings', { body, revision: base.revision });
        void refresh({ name: 'studioSettings', params: {}, answer: saved });
        return saved;
      } catch (error) {
        // Somebody else was first: theirs is shown, and the next choice is made on it.
        if (currentOf('updateStudioSettings', error)) await refresh();
        throw error;
      }
    },
  });
}
