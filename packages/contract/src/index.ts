export * from './answers';
export * from './client';
export * from './errors';
export * from './newId';
export * from './roles';
export * from './routes';
export { documentPart, isUuid } from './shapes';
export * from './studioBundle';
export * from './work';
