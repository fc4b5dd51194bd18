import { chartSheet, type Chart } from '@toile/core';
import { measureText } from './fonts';
import { sheetPdf } from './sheetPdf';

/** A chart on one A4 page in colour, with what is to be minded of its client. */
export function chartPdf(chart: Chart): Promise<Buffer> {
  return sheetPdf(chartSheet(chart, { paper: 'a4', colour: true, cautions: true, measure: measureText }));
}
