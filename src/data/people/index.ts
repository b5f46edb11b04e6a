export * from './read';
export { UnkeptSignIns } from './unkept';
export * from './write';
export type { KeyRow, SecretRow, SessionRow, SignerRow } from './types';
