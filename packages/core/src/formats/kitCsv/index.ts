export {
  guessMapping,
  KIT_COLUMN_NAMES,
  NEEDED_COLUMNS,
  type ColumnMapping,
  type KitColumn,
} from './columns';
export { nameKey, readKitCsv, type KitCsv } from './readKitCsv';
export { type KitCsvRow, type KitRowProblem, type NewProduct, type NewUnit } from './readRow';
export { writeKitCsv } from './writeKitCsv';
