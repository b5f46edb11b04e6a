export * from './orders';
export * from './write';
