import { Pressable } from 'react-native';
import { msg, SKIN_ZONE_NAMES, SKIN_ZONES, type Lab } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { Figure, Judged, useColours, useWide, View } from '../../ui';
import { landmarksFor } from '../clients/snapshot';
import { FaceStage } from '../face/FaceStage';
import {
  extraSpot,
  READING_BOX,
  summaryIn,
  ZONE_SPOTS,
  type Certainty,
  type Held,
  type Session,
} from './readingView';

type ZoneFaceProps = {
  readonly client: ClientAnswer;
  readonly session: Session;
  readonly held: Held;
  readonly onHold: (held: Held) => void;
};

/** Her face with a mark for every zone and added place: how many samples it has, ticked when steady. */
export function ZoneFace({ client, session, held, onHold }: ZoneFaceProps) {
  const wide = useWide();
  const landmarks = landmarksFor(client);
  return (
    <Judged padding={0}>
      <FaceStage
        landmarks={landmarks}
        features={client.features}
        height={wide ? 560 : 350}
        label={msg`Zones to read`}
        framing={READING_BOX}
      >
        {(toPixels) => (
          <>
            {SKIN_ZONES.map((zone) => (
              <Mark
                key={zone}
                name={SKIN_ZONE_NAMES[zone]}
                at={toPixels(ZONE_SPOTS[zone])}
                samples={session.zones[zone] ?? []}
                certainty={session.certainty}
                on={held === zone}
                onPress={() => onHold(zone)}
              />
            ))}
            {session.extras.map((extra, i) => (
              <Mark
                key={`${i} ${extra.name}`}
                name={extra.name}
                at={toPixels(extraSpot(extra, i))}
                samples={extra.samples}
                certainty={session.certainty}
                on={held === i}
                square
                onPress={() => onHold(i)}
              />
            ))}
          </>
        )}
      </FaceStage>
    </Judged>
  );
}

type MarkProps = {
  readonly name: string;
  readonly at: readonly [number, number];
  readonly samples: readonly Lab[];
  readonly certainty: Certainty;
  readonly on: boolean;
  readonly square?: boolean;
  readonly onPress: () => void;
};

function Mark({ name, at: [x, y], samples, certainty, on, square = false, onPress }: MarkProps) {
  const c = useColours();
  const summary = summaryIn({ certainty }, samples);
  const steady = summary?.moreNeeded === 0;
  return (
    <Pressable
      role="radio"
      aria-checked={on}
      aria-label={`${name}: ${steady ? msg`steady` : summary ? msg`${summary.keptCount} kept` : msg`not read`}`}
      onPress={onPress}
      style={{
        position: 'absolute',
        left: x - 22,
        top: y - 22,
        width: 44,
        height: 44,
        alignItems: 'center',
        justifyContent: 'center',
      }}
    >
      <View
        width={on ? 34 : 24}
        height={on ? 34 : 24}
        borderRadius={(square ? 2 : 20) as never}
        borderWidth={on ? 3 : 1.5}
        borderColor={c.ink as never}
        backgroundColor="$surface"
        alignItems="center"
        justifyContent="center"
      >
        <Figure fontSize="$1" lineHeight="$1">
          {steady ? '✓' : String(summary?.keptCount ?? 0)}
        </Figure>
      </View>
    </Pressable>
  );
}
