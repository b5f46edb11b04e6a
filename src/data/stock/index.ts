export * from './balances';
export * from './items';
export * from './materials';
export * from './places';
