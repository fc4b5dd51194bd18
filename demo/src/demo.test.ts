import {
  depthOf,
  FAMILIES,
  fitLook,
  inferLandmarks,
  matchAllergens,
  PRODUCT_KINDS,
  readDocument,
  skinTarget,
  undertoneOf,
} from '@toile/core';
import { StudioBundleSchema } from '@toile/contract';
import { CLIENTS, demoStudio, LOOKS, PRODUCTS, secondStudio } from '.';

const studio = demoStudio('2031-05-14');

test('both studios are what the importer takes', () => {
  for (const bundle of [studio, secondStudio()]) {
    const read = readDocument(JSON.stringify(bundle), StudioBundleSchema);
    expect(read.ok ? [] : read.problems).toEqual([]);
  }
});

test('the same day gives the same studio, ids and all', () =>
  expect(demoStudio('2031-05-14')).toEqual(studio));

test('people from very light to very deep, of all undertones, young and old, with what has to be minded', () => {
  const depths = CLIENTS.map((c) => depthOf(skinTarget(c.skin)!));
  expect(CLIENTS.length).toBeGreaterThanOrEqual(14);
  expect(Math.min(...depths)).toBeLessThan(5);
  expect(Math.max(...depths)).toBeGreaterThan(19.5);
  expect(new Set(CLIENTS.map((c) => undertoneOf(c.skin.neck).undertone)).size).toBe(5);
  expect(new Set(CLIENTS.map((c) => c.features.age)).size).toBeGreaterThanOrEqual(3);
  expect(
    CLIENTS.some((c) => c.features.headTremor) &&
      CLIENTS.some((c) => c.sensitivities.length > 0) &&
      CLIENTS.some((c) => c.features.eyes === 'round'),
  ).toBe(true);
  expect(CLIENTS.some((c) => c.features.lids.left !== c.features.lids.right)).toBe(true);
  for (const child of CLIENTS.filter((c) => c.features.age === 'child'))
    expect(child.guardianConsent).not.toBe('');
});

test('ninety products or more of every kind but one of a kind each, with bases for every skin', () => {
  expect(PRODUCTS.length).toBeGreaterThanOrEqual(90);
  expect(new Set(PRODUCTS.map((p) => p.id)).size).toBe(PRODUCTS.length);
  expect(new Set(PRODUCTS.map((p) => p.kind)).size).toBe(PRODUCT_KINDS.length);
  expect(new Set(PRODUCTS.map((p) => p.family)).size).toBe(FAMILIES.length);
  const depths = PRODUCTS.filter((p) => p.kind === 'base').map((p) => depthOf(p.lab!));
  for (const client of CLIENTS) {
    const wanted = depthOf(skinTarget(client.skin)!);
    expect(Math.min(...depths.map((d) => Math.abs(d - wanted)))).toBeLessThan(1);
  }
});

test('six looks, and charts with history whose every step found something', () => {
  expect(LOOKS).toHaveLength(6);
  expect(studio.charts.some((c) => c.version === 2)).toBe(true);
  for (const chart of studio.charts) {
    for (const step of chart.steps)
      expect({ who: chart.client.name, step: step.title, used: step.use.length > 0 }).toEqual({
        who: chart.client.name,
        step: step.title,
        used: true,
      });
  }
});

test('no look fitted to a sensitive client uses what they are sensitive to', () => {
  const kit = { products: studio.products, units: studio.units };
  const sensitive = CLIENTS.filter((c) => c.sensitivities.length > 0);
  expect(sensitive.length).toBeGreaterThan(1);
  for (const { id, name, features, skin, measurements, sensitivities } of sensitive) {
    const client = {
      id,
      name,
      features,
      skin,
      landmarks: inferLandmarks(measurements),
      readingId: null,
      sensitivities: [...sensitivities],
    };
    for (const look of LOOKS) {
      const { chart } = fitLook(look, client, kit, studio.charts[0]!.occasion, {
        id,
        author: '',
        at: '',
        reason: '',
      });
      const ingredients = chart.steps.flatMap((s) => s.use.flatMap((u) => u.product.ingredients));
      expect(ingredients.length).toBeGreaterThan(0);
      expect(matchAllergens(ingredients, sensitivities)).toEqual([]);
    }
  }
});

test('shine stays off mature skin', () => {
  for (const chart of studio.charts) {
    if (chart.client.features.age !== 'mature') continue;
    expect(
      chart.steps.filter((s) => s.role === 'highlight').flatMap((s) => s.use.map((u) => u.product.finish)),
    ).not.toContain('shimmer');
  }
});

test('every reference stands: visits, events, readings', () => {
  const clients = new Set(studio.clients.map((c) => c.id));
  const charts = new Map(
    studio.charts.map((c) => [`${c.id} ${c.version}`, new Set(c.steps.map((s) => s.id))]),
  );
  for (const visit of studio.visits) expect(clients.has(visit.clientId)).toBe(true);
  for (const reading of studio.readings) expect(clients.has(reading.clientId)).toBe(true);
  for (const { chartId, version, event } of studio.events)
    expect(charts.get(`${chartId} ${version}`)?.has(event.stepId)).toBe(true);
});
