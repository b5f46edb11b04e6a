/** How a fact is written: a length in its own unit, degrees, a count, a bare number, one of a list, or words. */
type SymbolKind = 'length' | 'degree' | 'count' | 'number' | 'choice' | 'words';

interface SymbolSpec {
  words: string;
  kind: SymbolKind;
  /** mm, degrees or the bare number: wide on purpose, to catch a wrong unit and not an unusual cutter. */
  limits?: readonly [number, number];
  options?: readonly string[];
  /** Shapes a cutter: any may have it, or only those whose family asks for it. */
  shapes?: 'any' | 'its own';
  /** Not of ISO 13399: Stable's own, where the standard's name is not known here. */
  own?: true;
}

export const SHANK_FORMS = ['plain', 'flat', 'whistle notch', 'threaded', 'arbor bore'] as const;
const CLAMPINGS = [
  'collet',
  'side-lock',
  'shrink',
  'hydraulic',
  'milling chuck',
  'drill chuck',
  'tap chuck',
  'face mill arbor',
] as const;
export const SUBSTRATES = [
  'HSS',
  'cobalt HSS',
  'carbide',
  'cermet',
  'ceramic',
  'CBN',
  'PCD',
  'other',
] as const;
export type Substrate = (typeof SUBSTRATES)[number];
const YES_NO = ['yes', 'no'] as const;

/**
 * Every fact an item can have, by its symbol: those of ISO 13399 (from memory) beside plain words, and Stable's own.
 * Limits in mm, degrees or bare numbers.
 */
export const SYMBOLS = {
  // Cutting part
  DC: { words: 'cutting diameter', kind: 'length', limits: [0.05, 500], shapes: 'any' },
  DCX: { words: 'largest cutting diameter', kind: 'length', limits: [0.05, 600], shapes: 'any' },
  DCN: { words: 'smallest cutting diameter', kind: 'length', limits: [0, 500], shapes: 'its own' },
  LCF: { words: 'flute length', kind: 'length', limits: [0.05, 500], shapes: 'any' },
  APMX: { words: 'usable depth of cut', kind: 'length', limits: [0.01, 500], shapes: 'any' },
  RE: { words: 'corner radius', kind: 'length', limits: [0, 250], shapes: 'any' },
  SIG: { words: 'point angle', kind: 'degree', limits: [5, 180], shapes: 'its own' },
  KAPR: { words: 'cutting edge angle', kind: 'degree', limits: [1, 95], shapes: 'any' },
  TAPER: { words: 'taper per side', kind: 'degree', limits: [0.1, 45], own: true, shapes: 'its own' },
  PRFRAD: { words: 'profile radius of the flank', kind: 'length', limits: [0.5, 2000], shapes: 'its own' },
  CW: { words: 'cutting width', kind: 'length', limits: [0.1, 100], shapes: 'its own' },
  SDL: { words: 'length of the first step', kind: 'length', limits: [0.05, 300], shapes: 'its own' },
  STA: { words: 'included angle of the step', kind: 'degree', limits: [20, 180], shapes: 'its own' },
  NOF: { words: 'flutes', kind: 'count', limits: [1, 200], shapes: 'any' },
  RMPX: { words: 'ramp limit', kind: 'degree', limits: [0, 90], shapes: 'any' },
  CHIP_MAX: {
    words: 'thickest chip it stands',
    kind: 'length',
    limits: [0.001, 10],
    own: true,
    shapes: 'any',
  },
  CCC: { words: 'centre cutting', kind: 'choice', options: YES_NO },
  // Neck, shank, whole
  DN: { words: 'neck diameter', kind: 'length', limits: [0.05, 500], shapes: 'any' },
  BHTA1: { words: 'neck taper per side', kind: 'degree', limits: [0.1, 30], shapes: 'any' },
  LU: { words: 'usable length, flutes and neck', kind: 'length', limits: [0.05, 800], shapes: 'any' },
  DMM: { words: 'shank diameter', kind: 'length', limits: [0.5, 200], shapes: 'any' },
  OAL: { words: 'overall length', kind: 'length', limits: [5, 1000], shapes: 'any' },
  SHANK: { words: 'shank form', kind: 'choice', options: SHANK_FORMS, own: true },
  TCDMM: { words: 'shank tolerance', kind: 'words' },
  FHA: { words: 'flute helix angle', kind: 'degree', limits: [0, 70] },
  CSP: { words: 'coolant through', kind: 'choice', options: YES_NO },
  SUBSTRATE: { words: 'substrate', kind: 'choice', options: SUBSTRATES },
  COATING: { words: 'coating', kind: 'words' },
  HAND: { words: 'hand', kind: 'choice', options: ['right', 'left', 'neutral'] },
  // Holes and threads
  TCHA: { words: 'hole tolerance class', kind: 'words' },
  DCM: { words: 'measured cutting diameter', kind: 'length', limits: [0.05, 500], own: true },
  TDZ: { words: 'thread', kind: 'words' },
  TP: { words: 'pitch', kind: 'length', limits: [0.1, 10] },
  TCTR: { words: 'thread class', kind: 'words' },
  THCHT: { words: 'chamfer form', kind: 'words' },
  TAPPING: { words: 'makes the thread by', kind: 'choice', options: ['cutting', 'forming'], own: true },
  // Bodies and inserts
  CICT: { words: 'insert seats', kind: 'count', limits: [1, 60] },
  MIID: { words: 'takes inserts', kind: 'words' },
  IC: { words: 'inscribed circle', kind: 'length', limits: [1, 60] },
  S: { words: 'thickness', kind: 'length', limits: [0.5, 20] },
  CEDC: { words: 'cutting edges', kind: 'count', limits: [1, 16] },
  EDGES: { words: 'edges that can be used', kind: 'count', limits: [1, 16], own: true },
  GRADE: { words: 'grade', kind: 'words' },
  ISO1832: { words: 'ISO 1832 code', kind: 'words', own: true },
  // Holders, collets, extensions
  CCMS: { words: 'spindle side, by its standard', kind: 'words' },
  LF: { words: 'gauge line to face', kind: 'length', limits: [5, 1000] },
  CLAMPING: { words: 'clamps by', kind: 'choice', options: CLAMPINGS, own: true },
  SHANKS: { words: 'takes shanks', kind: 'words', own: true },
  CLAMP_MIN: { words: 'smallest shank it takes', kind: 'length', limits: [0.1, 200], own: true },
  CLAMP_MAX: { words: 'largest shank it takes', kind: 'length', limits: [0.1, 200], own: true },
  GRIP_MIN: { words: 'least grip', kind: 'length', limits: [0.1, 300], own: true },
  DEPTH_MAX: { words: 'greatest depth of shank', kind: 'length', limits: [1, 500], own: true },
  RPM_MAX: { words: 'rpm limit', kind: 'count', limits: [100, 100_000], own: true },
  COLLET: { words: 'collet size', kind: 'words', own: true },
  TORQUE: { words: 'tightening torque, N m', kind: 'number', limits: [0.1, 1000], own: true },
  LPR: { words: 'protruding length', kind: 'length', limits: [1, 1000] },
  CCWS: { words: 'front side, by its standard', kind: 'words' },
  DCB: { words: 'bore for the arbor', kind: 'length', limits: [5, 150] },
  MOUNT: { words: 'form of its seat, ISO 6462', kind: 'choice', options: ['A', 'B', 'C'], own: true },
  MOUNTS: { words: 'takes seats of ISO 6462', kind: 'words', own: true },
  WT: { words: 'weight, kg', kind: 'number', limits: [0.001, 200] },
  // Regrinding
  REGRINDS: { words: 'regrinds it stands', kind: 'count', limits: [0, 20], own: true },
  DC_MIN: { words: 'least diameter after regrinding', kind: 'length', limits: [0.05, 500], own: true },
  FITS: { words: 'fits', kind: 'words', own: true },
} as const satisfies Record<string, SymbolSpec>;

export type FactSymbol = keyof typeof SYMBOLS;
export const isSymbol = (name: string): name is FactSymbol => Object.hasOwn(SYMBOLS, name);
export const symbolSpec = (symbol: FactSymbol): SymbolSpec => SYMBOLS[symbol];

/** Whether a fact of this symbol has a number: the others are words. */
export const isNumeric = (symbol: FactSymbol): boolean => !['choice', 'words'].includes(SYMBOLS[symbol].kind);
