import {
  chartSheet,
  sheetSvg,
  writeKitCsv,
  writeZip,
  type CallSheet,
  type Chart,
  type Compact,
  type Kit,
  type Lesson,
  type Look,
  type Manner,
  type Palette,
  type Paper,
  type Product,
} from '@toile/core';
import { cardPdf, lessonCardPdf, type CardSide } from '../lessons/card';
import { compactCard, compactLabels } from '../lessons/compactPdf';
import { readKitList, type KitListJob } from '../kit/kitList';
import { kitPalette } from '../kit/kitPalette';
import { lessonPdf } from '../lessons/pdf';
import { libraryZip } from '../looks/libraryZip';
import { labelSheet } from '../palettes/labelSheet';
import { callSheetPdf, type SheetPaper } from './callSheetPdf';
import { fontUrls, measureText } from './fonts';
import { sheetPdf } from './sheetPdf';

/**
 * What is put on paper or into a file, or read out of one, and takes long enough to be in everybody’s way.
 */
export type PrintJob =
  | {
      readonly kind: 'chart';
      readonly chart: Chart;
      readonly as: 'pdf' | 'svg';
      readonly paper: Paper;
      readonly colour: boolean;
      readonly cautions: boolean;
      readonly days?: Manner['days'];
    }
  | {
      readonly kind: 'call-sheet';
      readonly sheet: CallSheet;
      readonly day: string;
      readonly paper: SheetPaper;
    }
  | {
      readonly kind: 'lesson';
      readonly lesson: Lesson;
      readonly as: 'sheet' | 'card';
      readonly paper: SheetPaper;
    }
  | {
      readonly kind: 'card';
      readonly title: string;
      readonly sides: readonly CardSide[];
      readonly paper: SheetPaper;
    }
  | {
      readonly kind: 'compact';
      readonly compact: Compact;
      readonly chart: Chart;
      readonly days: Manner['days'];
      readonly as: 'labels' | 'card';
      readonly paper: SheetPaper;
      readonly origin: string;
    }
  | {
      readonly kind: 'labels';
      readonly palette: Palette;
      readonly products: readonly Product[];
      readonly origin: string;
    }
  /** The library of looks as one zip. */
  | { readonly kind: 'library'; readonly looks: readonly Look[] }
  /** The whole kit as a list, or its colours as a palette. */
  | { readonly kind: 'kit'; readonly kit: Kit; readonly as: 'csv' | 'gpl' }
  /** A list of products read: its answer is the JSON of a KitList. */
  | ({ readonly kind: 'kit-list' } & KitListJob)
  /** Files as they are, and charts as PDF among them, as one zip. */
  | {
      readonly kind: 'zip';
      readonly files: ReadonlyMap<string, string | Uint8Array>;
      readonly charts: ReadonlyMap<string, Chart>;
    };

/** Does a piece of work where it is called. */
export async function printed(job: PrintJob): Promise<Buffer> {
  switch (job.kind) {
    case 'chart': {
      const sheet = chartSheet(job.chart, {
        paper: job.paper,
        colour: job.colour,
        cautions: job.cautions,
        days: job.days,
        measure: measureText,
      });
      return job.as === 'pdf' ? sheetPdf(sheet) : Buffer.from(sheetSvg(sheet, fontUrls()));
    }
    case 'call-sheet':
      return callSheetPdf(job.sheet, job.day, job.paper);
    case 'lesson':
      return (job.as === 'card' ? lessonCardPdf : lessonPdf)(job.lesson, job.paper);
    case 'card':
      return cardPdf(job.title, job.sides, job.paper);
    case 'compact':
      return job.as === 'labels'
        ? compactLabels(job.compact, job.chart, job.origin)
        : compactCard(job.compact, job.chart, job.paper, job.days);
    case 'labels':
      return labelSheet(job.palette, job.products, job.origin);
    case 'library':
      return Buffer.from(libraryZip(job.looks));
    case 'kit':
      return Buffer.from(job.as === 'gpl' ? kitPalette(job.kit) : writeKitCsv(job.kit));
    case 'kit-list':
      return Buffer.from(JSON.stringify(readKitList(job)));
    case 'zip': {
      const files = new Map<string, string | Uint8Array>(job.files);
      for (const [name, chart] of job.charts) files.set(name, await chartPdf(chart));
      return Buffer.from(writeZip(files));
    }
  }
}

/** A chart on one A4 page in colour, with what is to be minded of its client. */
const chartPdf = (chart: Chart): Promise<Buffer> =>
  printed({ kind: 'chart', chart, as: 'pdf', paper: 'a4', colour: true, cautions: true });
