import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  holdChance,
  messages,
  msg,
  outlookWords,
  SKIN_GROUPS,
  WEAR_CLIMATES,
  type PlaceSetting,
  type WearGroup,
  wornTold,
} from '@toile/core';
import { useStudioWear } from '../../data/hooks';
import {
  Choice,
  Column,
  Empty,
  Label,
  LineGraph,
  Line,
  Ready,
  Row,
  Screen,
  Stepper,
  Subheading,
} from '../../ui';
import { capital } from '../words/capital';
import { heldRows, type HeldRow } from './wearView';

/** Hours a curve is read at. */
const HOURS = [0, 2, 4, 6, 8, 10, 12] as const;

const ANY = 'any';
const SKIN_CHOICES = messages({
  any: 'Any',
  oily: 'Oily',
  dry: 'Dry',
  mixed: 'Oily and dry',
  normal: 'Neither',
} as const);
const CLIMATE_CHOICES = messages({ any: 'Any', mild: 'Mild', hot: 'Hot', wet: 'Humid or wet' } as const);

/** How long things hold, by what stands where: what the studio's own looks say, and how sure that is. */
export function HeldScreen() {
  const wear = useStudioWear();
  const router = useRouter();
  return (
    <Screen title={msg`How things hold`} onBack={() => router.navigate('/settings')}>
      <Ready remote={wear}>{({ wears }) => <Held wears={wears} />}</Ready>
    </Screen>
  );
}

function Held({ wears }: { readonly wears: readonly WearGroup[] }) {
  const [hours, setHours] = useState(8);
  const [open, setOpen] = useState<string | null>(null);
  const [setting, setSetting] = useState<PlaceSetting>({ skin: null, climate: null });
  const rows = heldRows(wears, hours, setting);
  if (rows.length === 0)
    return (
      <Empty
        title={msg`Nobody has looked yet`}
        words={msg`Tell on a chart’s page how it wears, or let the client: from a few looks on, this says what holds.`}
      />
    );
  return (
    <Column gap="$4">
      <Label>{msg`Faces that were looked at while they were worn; on the days they were used, which is no random choice. Each rests on the trade’s guess until there are wears of its own.`}</Label>
      <Stepper
        label={msg`To hold for`}
        unit={msg`h`}
        value={hours}
        minimum={1}
        maximum={14}
        step={1}
        onChange={setHours}
      />
      <Choice
        label={msg`On skin that is`}
        options={[ANY, ...SKIN_GROUPS]}
        words={SKIN_CHOICES}
        chosen={[setting.skin ?? ANY]}
        onChange={([skin]) =>
          setSetting({ ...setting, skin: skin === undefined || skin === ANY ? null : skin })
        }
      />
      <Choice
        label={msg`On days that are`}
        options={[ANY, ...WEAR_CLIMATES]}
        words={CLIMATE_CHOICES}
        chosen={[setting.climate ?? ANY]}
        onChange={([climate]) =>
          setSetting({ ...setting, climate: climate === undefined || climate === ANY ? null : climate })
        }
      />
      <Column gap={0}>
        {rows.map((row) => {
          const key = `${row.zone} ${row.worn}`;
          return (
            <Column key={key} gap={0}>
              <Row
                title={`${capital(row.zone)}: ${wornTold(row.worn)}`}
                detail={outlookWords(row.outlook)}
                chosen={open === key}
                onPress={() => setOpen(open === key ? null : key)}
              />
              {open === key ? <Curve row={row} /> : null}
            </Column>
          );
        })}
      </Column>
    </Column>
  );
}

/** The share that holds by the hour, with its band; the same numbers beside it. */
function Curve({ row }: { readonly row: HeldRow }) {
  const points = HOURS.map((hour) =>
    hour === 0 ? { hour, mean: 1, low: 1, high: 1 } : { hour, ...holdChance(row.outlook.curve, hour) },
  );
  const line = (of: 'mean' | 'low' | 'high') => points.map((point) => 10 * point[of]);
  return (
    <Column gap="$2" paddingVertical="$3">
      <LineGraph
        values={line('mean')}
        band={{ low: line('low'), high: line('high') }}
        most={10}
        sections={5}
        height={150}
        labels={HOURS.map((hour) => `${hour} h`)}
      />
      <Subheading>{msg`Of ten, still holding`}</Subheading>
      <Column gap={0} role="table" aria-label={msg`${capital(row.zone)}: ${wornTold(row.worn)}, of ten`}>
        {points.slice(1).map(({ hour, mean, low, high }) => (
          <Line key={hour} role="row" flexWrap="nowrap" gap="$3" minHeight={32}>
            <Label role="cell" width={56}>{`${hour} h`}</Label>
            <Label role="cell">{msg`${Math.round(10 * mean)} (${Math.round(10 * low)} to ${Math.round(10 * high)})`}</Label>
          </Line>
        ))}
      </Column>
    </Column>
  );
}
