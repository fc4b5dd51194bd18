import {
  fitLook,
  inferLandmarks,
  reviewPlaces,
  SKIN_ZONES,
  summariseReadings,
  type ClientSnapshot,
} from '@toile/core';
import { demoStudio } from '.';

const studio = demoStudio('2031-05-14');
const kit = { products: studio.products, units: studio.units };
const occasion = {
  kind: 'wedding' as const,
  date: '2031-06-01',
  lights: ['daylight' as const],
  hoursToLast: 8,
  camera: true,
};

/** The client as the newest reading has her; null when she was never read. */
function snapshot(client: (typeof studio.clients)[number]): ClientSnapshot | null {
  const reading = studio.readings.filter((r) => r.clientId === client.id).at(-1);
  if (!reading) return null;
  const skin = Object.fromEntries(
    SKIN_ZONES.flatMap((zone) =>
      reading.zones[zone] ? [[zone, [...summariseReadings(reading.zones[zone])!.lab]]] : [],
    ),
  );
  const landmarks = inferLandmarks(client.measurements);
  return {
    id: client.id,
    name: client.name,
    landmarks,
    features: client.features,
    skin,
    readingId: reading.id,
    sensitivities: client.sensitivities,
  };
}

test('every look fitted to every client lies where it should: nothing to look at on any face', () => {
  const said: string[] = [];
  for (const client of studio.clients) {
    const who = snapshot(client);
    if (!who) continue;
    for (const look of studio.looks) {
      const stamp = { id: client.id, author: 'Runa Castellane', at: '2031-05-14T08:00:00Z', reason: '' };
      for (const { message } of reviewPlaces(fitLook(look, who, kit, occasion, stamp).chart))
        said.push(`${look.name} on ${client.name}: ${message}`);
    }
  }
  expect(said).toEqual([]);
});
