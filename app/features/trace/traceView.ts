import {
  MEASUREMENTS,
  msg,
  questionMeasurements,
  term,
  type MeasurementName,
  type Measurements,
} from '@toile/core';

export type TypedMeasurements = { readonly [name in MeasurementName]?: string };

/** What was typed as numbers: empty fields are left out; a comma is taken for a point. */
export function measurementsFrom(typed: TypedMeasurements): {
  readonly measurements: Measurements;
  readonly errors: Readonly<Partial<Record<MeasurementName, string>>>;
} {
  const measurements: Partial<Record<MeasurementName, number>> = {};
  const errors: Partial<Record<MeasurementName, string>> = {};
  for (const [name, text] of Object.entries(typed) as [MeasurementName, string][]) {
    if (text.trim() === '') continue;
    const value = Number(text.replace(',', '.'));
    if (Number.isFinite(value)) measurements[name] = value;
    else errors[name] = msg`${term(MEASUREMENTS[name].label)} is a number in millimetres`;
  }
  for (const { name, message } of questionMeasurements(measurements)) errors[name] ??= message;
  return { measurements, errors };
}

/** The measurements that can be drawn now: those without a question. */
export function drawable(typed: TypedMeasurements): Measurements {
  const { measurements, errors } = measurementsFrom(typed);
  return Object.fromEntries(Object.entries(measurements).filter(([name]) => !(name in errors)));
}

/** Numbers back as text for the fields. */
export function typedFrom(measurements: Measurements): TypedMeasurements {
  return Object.fromEntries(Object.entries(measurements).map(([name, value]) => [name, String(value)]));
}
