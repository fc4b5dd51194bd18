import { useMemo } from 'react';
import type { ClientAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { useClient } from '../../data/hooks';
import { useSame } from '../../data/useSame';
import { Judged } from '../../ui';
import { askPaint, useWork } from '../../workers';
import { newestSkin } from '../clients/snapshot';
import { DrawnFace } from '../face/DrawnFace';
import { useGround } from '../face/ground';

/** What a drawing of the face depends on. */
const faceOf = (client: ClientAnswer) => ({
  trace: { measurements: client.measurements, taps: client.taps, likeness: client.likeness },
  features: client.features,
  skin: newestSkin(client),
});

/**
 * Who comes next, to be known again at the door. Drawn in a worker: it is the only thing here that computes,
 * and would hold up the page it stands on.
 */
export function NextFace({ id, name }: { readonly id: string; readonly name: string }) {
  const { data } = useClient(id);
  const asked = useSame(useMemo(() => (data ? faceOf(data) : null), [data]));
  const { answer } = useWork(askPaint, 'face', asked);
  const ground = useGround();
  const drawing = useMemo(
    () => (answer ? { art: answer.art, own: ground === 'skin' ? answer.own : null } : null),
    [answer, ground],
  );
  return (
    <Judged padding={0} width={104} height={132} flexShrink={0} overflow="hidden">
      {asked && answer && drawing ? (
        <DrawnFace
          drawing={drawing}
          features={asked.features}
          view={answer.view}
          width="100%"
          height={132}
          label={msg`${name}’s face`}
        />
      ) : null}
    </Judged>
  );
}
