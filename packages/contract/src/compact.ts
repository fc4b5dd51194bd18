import { Value } from '@sinclair/typebox/value';
import { mixed, number, object } from 'yup';
import { CompactSchema, msg, type Compact } from '@toile/core';

/** A compact, and the version of the chart whose steps it is for. */
export const compactInputSchema = object({
  compact: mixed<Compact>((value): value is Compact => Value.Check(CompactSchema, value))
    .typeError(
      () =>
        msg`A compact has a name, steps, times a week, one to six tins with their pans, and what each pan held when it was filled`,
    )
    .required(),
  version: number().integer().min(1).required(),
}).noUnknown('${unknown} is not known here');
export type CompactInput = { compact: Compact; version: number };

export type CompactAnswer = {
  readonly compact: Compact;
  readonly chartId: string;
  readonly version: number;
  readonly revision: number;
  readonly madeBy: string;
  readonly madeAt: string;
};
