export * from './jobs';
export * from './write';
