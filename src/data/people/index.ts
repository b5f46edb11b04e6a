export * from './read';
export * from './write';
export type { KeyRow, SecretRow, SessionRow, SignerRow } from './types';
