import { CHART_FORMAT, type Chart } from './document';
import type { Stamp } from './fitLook';

/** A draft sealed as the version after its parent: same chart, next number, new author, time and reason. */
export function nextVersion(
  draft: Chart,
  parent: Pick<Chart, 'id' | 'version'>,
  stamp: Omit<Stamp, 'id'>,
): Chart {
  const { hash: _stale, ...rest } = draft;
  return {
    ...rest,
    format: CHART_FORMAT,
    id: parent.id,
    version: parent.version + 1,
    parent: parent.version,
    ...stamp,
  };
}
