export { canonicalJson } from '../canonicalJson';
export { documentHash } from './documentHash';
export { readDocument, type DocumentProblem, type ReadResult } from './readDocument';
export { readChart, readLook, writeChart, writeLook } from './chartJson';
export { readCgats, writeCgats, type CgatsReading, type CgatsSample, type CgatsTable } from './cgats';
export { writeGimpPalette } from './gimpPalette';
export {
  guessMapping,
  KIT_COLUMN_NAMES,
  nameKey,
  NEEDED_COLUMNS,
  readKitCsv,
  writeKitCsv,
  type ColumnMapping,
  type KitColumn,
  type KitCsv,
  type KitCsvRow,
  type KitRowProblem,
  type NewProduct,
  type NewUnit,
} from './kitCsv';
export { readZip, writeZip, zipText, type ReadZip, type ZipLimits } from './zip';
export { writeMail, type Mail, type MailPerson } from './mail';
