import { useRouter } from 'expo-router';
import { call } from '../../data/call';
import { dropAllForms } from '../../data/drafts';
import { leaving, useHandOver } from '../../data/handOver';
import { inTime } from '../../data/inTime';
import { forgetWhatWasRead } from '../../data/offline';
import { dropPhotos } from '../../data/photos';
import { useSaving, type Saving } from '../../data/useSaving';

/** Signing out of this device: nothing of who was in stays on it. Without the studio nobody is signed out. */
export function useSignOut(): Pick<Saving, 'busy' | 'failure'> & { readonly signOut: () => void } {
  const handOver = useHandOver();
  const router = useRouter();
  const { busy, failure, save } = useSaving();
  const signOut = (): Promise<unknown> =>
    save(async () => {
      // What is refused from now on is no surprise.
      leaving(true);
      try {
        await call('signOut');
      } catch (error) {
        leaving(false);
        throw error;
      }
      await forgetWhatWasRead();
      await inTime(dropPhotos()).catch(() => undefined);
      dropAllForms();
      await handOver(null);
      router.replace('/');
    });
  return { busy, failure, signOut: () => void signOut() };
}
