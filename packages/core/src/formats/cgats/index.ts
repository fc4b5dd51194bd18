export { readCgats, type CgatsReading, type CgatsSample, type CgatsTable } from './readCgats';
export { writeCgats } from './writeCgats';
