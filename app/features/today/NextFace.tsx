import { msg } from '@toile/core';
import { useClient } from '../../data/hooks';
import { Judged } from '../../ui';
import { landmarksFor, newestSkin } from '../clients/snapshot';
import { faceBox } from '../face/FaceStage';
import { FaceView } from '../face/FaceView';

/** Who comes next, to be known again at the door. */
export function NextFace({ id, name }: { readonly id: string; readonly name: string }) {
  const { data } = useClient(id);
  const landmarks = data ? landmarksFor(data) : null;
  return (
    <Judged padding={0} width={104} height={132} flexShrink={0} overflow="hidden">
      {data && landmarks ? (
        <FaceView
          landmarks={landmarks}
          features={data.features}
          skin={newestSkin(data)}
          view={faceBox(landmarks)}
          width="100%"
          height={132}
          label={msg`${name}’s face`}
        />
      ) : null}
    </Judged>
  );
}
