export * from './lives';
export * from './write';
