import { cornerWithinHalf, type FamilySpec, type ItemFault } from './family';
import { flutes, leadIn } from './outlines';
import { readThread } from '../threads';

export const tap: FamilySpec = {
  words: 'tap',
  tip: 'flat',
  lengthTo: 'chamfer end',
  diameterAt: 'major diameter of the thread',
  facts: ['TDZ', 'TP', 'TCTR', 'TAPPING', 'THCHT', 'FHA', 'LCF', 'NOF', 'DN', 'LU'],
  sizedBy: 'TDZ',
  mills: false,
  axial: true,
  // The chamfer: about four threads of a plug, drawn so that taps are told from reamers.
  outline: (c, known) => {
    const high = flutes(c, known);
    return leadIn(c.DC / 2, 0.8, Math.min(high / 2, 4 * (c.DC / 7)), high);
  },
  drawnFrom: ['LCF'],
  mustHold: cornerWithinHalf,
  factsMustHold: ({ number, words }) => {
    const text = words('TDZ');
    if (text === null) return [];
    const thread = readThread(text);
    if (!thread) {
      const limit = 'such as M6, M8x1, 1/4-20 UNC, #10-32';
      return [{ field: 'TDZ', value: text, limit, words: 'not a thread that is read here' }];
    }
    const agrees = (symbol: 'DC' | 'TP', said: number): ItemFault[] => {
      const stated = number(symbol);
      if (stated === null || Math.abs(stated - said) <= 0.01) return [];
      const limit = `${Math.round(said * 1e4) / 1e4} by its thread`;
      return [{ field: symbol, value: stated, limit, words: 'thread and figure differ' }];
    };
    return [...agrees('DC', thread.major), ...agrees('TP', thread.pitch)];
  },
  againstRegrind: 'taps are seldom worth it: the thread gets smaller',
  cuts: ['thread'],
  hole: 'taps',
  countsHoles: true,
  needs: [{ result: 'hole before the thread', facts: ['TDZ', 'TAPPING'] }],
  sizeWords: (_, size, more) => more.TDZ ?? size,
};
