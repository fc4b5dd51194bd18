type Sensitive = { readonly client: { readonly sensitivities: readonly string[] } };

/**
 * A chart as it is to be worked now: what was noted of the client since it was written is minded too, and
 * nothing once minded is dropped. The same chart when nothing was.
 */
export function withSensitivities<T extends Sensitive>(chart: T, notedNow: readonly string[]): T {
  const { client } = chart;
  const since = notedNow.filter((noted) => !client.sensitivities.includes(noted));
  return since.length === 0
    ? chart
    : { ...chart, client: { ...client, sensitivities: [...client.sensitivities, ...since] } };
}
