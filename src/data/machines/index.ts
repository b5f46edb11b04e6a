export * from './machines';
