import type { Manner } from '../calendar';
import type { Point } from '../face';

/**
 * One thing on a sheet, in points from its upper left corner; groups scale from mm and hide what leaves their
 * frame.
 */
export type SheetOp =
  | {
      readonly op: 'path';
      readonly d: string;
      readonly fill: string | null;
      readonly opacity: number;
      readonly stroke?: string;
      readonly strokeWidth?: number;
    }
  | {
      readonly op: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly bold: boolean;
      readonly fill: string;
      readonly text: string;
      readonly middle?: boolean;
    }
  | {
      readonly op: 'group';
      readonly frame: readonly [x: number, y: number, width: number, height: number];
      readonly scale: number;
      readonly origin: Point;
      readonly ops: readonly SheetOp[];
    }
  /** What belongs together when it is read out, in the order it is read; never within another. */
  | {
      readonly op: 'part';
      readonly tag: SheetTag;
      readonly said: SheetSaid;
      readonly ops: readonly SheetOp[];
    };

/** What a part is: the title, a paragraph, a picture, a remark at the foot. */
export type SheetTag = 'H1' | 'P' | 'Figure' | 'Note';
/** Said instead of what is seen: of a picture, or the whole of words that are cut where there is no room. */
export type SheetSaid = { readonly alt?: string; readonly actual?: string };

export type Sheet = {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly ops: readonly SheetOp[];
};

/** Papers in points, and a phone's screen, which grows downwards with the steps. */
export const PAPERS = { a4: [595.28, 841.89], letter: [612, 792], phone: [390, 844] } as const;
export type Paper = keyof typeof PAPERS;

export type SheetOptions = {
  readonly paper: Paper;
  /** Without colour every kind is told by its pattern and number. */
  readonly colour: boolean;
  /** Width of a text in points. */
  readonly measure: (text: string, size: number, bold: boolean) => number;
  /** Sensitivities are printed only when asked for. */
  readonly cautions?: boolean;
  /** How days are told; as usual where nothing is said. */ readonly days?: Manner['days'];
};

/** Inks of words and lines. */
export const INK = '#161616';
export const SOFT = '#555555';
