import { newId, emptyBundle, type StudioBundle } from '@toile/contract';
import { demoStudio } from '@toile/demo';
import {
  groupWears,
  seededRandom,
  wearOutlook,
  wornByZone,
  zoneWears,
  type WearCheck,
  type WearState,
} from '@toile/core';
import { wearGroups } from '../../server/src/care/zoneWears';
import { inStudio, openDb, openPool } from '../../server/src/db/connection';
import { migrate } from '../../server/src/db/migrate';
import { importBundle } from '../../server/src/studio/importStudio';
import { row, type Row } from './measure';

const LOOKS_A_WEARING = 5;
const WEARINGS = 20_000;
const DAY_MS = 86_400_000;
const STATES: readonly WearState[] = ['holds', 'starting', 'needs a touch-up'];

/** A studio of five years: a hundred thousand looks at worn faces, of 400 clients and 20 bases. */
function fiveYears(): StudioBundle {
  const demo = demoStudio('2031-05-14');
  const random = seededRandom(5);
  const chart = demo.charts[0]!;
  const worn = wornByZone(chart);
  const clients = Array.from({ length: 400 }, () => ({ ...demo.clients[0]!, id: newId() }));
  const charts = clients.map((client) => {
    const { hash: _hash, ...plain } = chart;
    return { ...plain, id: newId(), version: 1, parent: null, client: { ...chart.client, id: client.id } };
  });
  const wearChecks = Array.from({ length: WEARINGS }, (_, i): WearCheck[] => {
    const of = charts[i % charts.length]!;
    const appliedAt = Date.parse('2031-05-14T08:00:00Z') - Math.floor(random() * 1800) * DAY_MS + i;
    const line = `Maker Line ${i % 20}`;
    const holds = 3 + 9 * random();
    return Array.from({ length: LOOKS_A_WEARING }, (__, n): WearCheck => {
      const hours = 2 * (n + 1) + 0.4 * (random() - 0.5);
      const state = (): WearState => STATES[hours > holds ? 2 : hours > 0.8 * holds ? 1 : 0]!;
      return {
        id: newId(),
        chartId: of.id,
        version: 1,
        clientId: of.client.id,
        appliedAt: new Date(appliedAt).toISOString(),
        at: new Date(appliedAt + hours * 3_600_000).toISOString(),
        judge: 'client',
        by: 'Somebody',
        zones: { forehead: state(), nose: state(), cheek: state(), mouth: state() },
        touched: [],
        marks: [],
        stings: false,
        worn: { ...worn, forehead: line, nose: line, cheek: line },
      };
    });
  }).flat();
  return { ...emptyBundle({ id: newId(), name: 'Five years' }), clients, charts, wearChecks };
}

/**
 * What a hundred thousand looks come to, asked by the page of one chart; beside reading and counting them
 * all.
 */
export async function wearRows(): Promise<Row[]> {
  const urls = JSON.parse(process.env.TOILE_WHOLE ?? '{}') as {
    readonly ownerUrl: string;
    readonly appUrl: string;
  };
  await migrate(urls.ownerUrl);
  const db = openDb(openPool(urls.appUrl, () => undefined));
  const bundle = fiveYears();
  const now = new Date('2031-05-15T08:00:00Z');
  const asked = { worn: bundle.wearChecks[0]!.worn };
  try {
    await importBundle(db, bundle);
    const client = bundle.clients[0]!.id;
    const timed = async (work: () => Promise<unknown>): Promise<number> => {
      await work();
      const times: number[] = [];
      for (let i = 0; i < 5; i++) {
        const start = performance.now();
        await work();
        times.push(performance.now() - start);
      }
      return times.sort((a, b) => a - b)[2]!;
    };
    const ours = await timed(() =>
      inStudio(db, bundle.studio.id, async (tx) => wearOutlook(await wearGroups(tx, client, now), asked, 8)),
    );
    const all = await timed(() =>
      inStudio(db, bundle.studio.id, async (tx) => {
        const told = await tx.selectFrom('wear_checks').select('document').orderBy('seq').execute();
        const wears = zoneWears(told.map((one) => one.document));
        return wearOutlook(groupWears(wears, client, now), asked, 8);
      }),
    );
    return [
      row(
        `${bundle.wearChecks.length.toLocaleString('en')} looks at worn faces, how likely each place holds (limit 300 ms)`,
        ours,
        'every look read and counted',
        all,
      ),
    ];
  } finally {
    await db.destroy();
  }
}
