export { canonicalJson, documentHash } from './canonicalJson';
export { readDocument, type DocumentProblem, type ReadResult } from './readDocument';
export { readChart, readLook, writeChart, writeLook } from './chartJson';
