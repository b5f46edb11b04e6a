export * from './balances';
export * from './catalogue';
export * from './counting';
export * from './items';
export * from './materials';
export * from './places';
export * from './regrinds';
