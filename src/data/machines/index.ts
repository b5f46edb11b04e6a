export * from './machines';
export * from './write';
