import type { ClientAnswer, ClientInput } from '@toile/contract';

/** A client as it would be written back, unchanged. */
export function clientBody(client: ClientAnswer): ClientInput {
  return {
    id: client.id,
    name: client.name,
    phone: client.contact?.phone ?? '',
    email: client.contact?.email ?? '',
    birthYear: client.birthYear,
    guardianConsent: client.guardianConsent,
    sensitivities: [...client.sensitivities],
    notes: client.notes,
    features: client.features,
    measurements: client.measurements,
    taps: client.taps,
    likeness: client.likeness,
    consult: client.consult,
  };
}
