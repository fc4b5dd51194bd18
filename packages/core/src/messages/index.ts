export * from './msg';
export * from './tables';
