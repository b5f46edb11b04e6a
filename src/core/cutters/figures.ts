import { namesOf } from '../names';
import { SYMBOLS, type FactSymbol } from './symbols';

/** The symbols that shape a cutter: those SYMBOLS marks so. */
export type CutterSymbol = {
  [S in FactSymbol]: (typeof SYMBOLS)[S] extends { shapes: unknown } ? S : never;
}[FactSymbol];
export const GEOMETRY_SYMBOLS = namesOf(SYMBOLS).filter((s): s is CutterSymbol => 'shapes' in SYMBOLS[s]);

/** A cutter's figures by symbol, mm and degrees; null is 'not known'. DC is always known. */
export type CutterFigures = { DC: number } & Record<Exclude<CutterSymbol, 'DC'>, number | null>;
