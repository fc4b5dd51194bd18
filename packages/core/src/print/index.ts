export { chartSheet } from './chartSheet';
export { patternIn } from './patternIn';
export { PAPERS, type Paper, type Sheet, type SheetOp, type SheetOptions } from './sheet';
export { sheetSvg, type SheetFonts } from './sheetSvg';
export { wrapped } from './wrapped';
