export * from './lives';
