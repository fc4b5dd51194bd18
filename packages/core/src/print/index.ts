export {
  chartSheet,
  PAPERS,
  wrapped,
  type Paper,
  type Sheet,
  type SheetOp,
  type SheetOptions,
} from './chartSheet';
export { patternIn } from './patternIn';
export { sheetSvg, type SheetFonts } from './sheetSvg';
