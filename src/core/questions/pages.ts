import { COST_KEYS } from '../breakage';
import { SET_UP_KINDS } from '../setUp';
import { FAMILY_NAMES, ITEM_KINDS } from '../cutters';
import type { Question, QuestionSpec } from './question';
import {
  A_CUT,
  A_TRACE,
  AFTER_ROW,
  BREAKAGES,
  CATALOGUE,
  ENTRIES,
  A_LIFE,
  HELD,
  HOLDERS,
  LIVES,
  MOVEMENTS,
  POCKETS,
  RACK,
  RECIPES,
  REGISTERS,
  STOCK,
} from './views';

/** What each page's address may say: what is open beside, what is being done, and the question its list answers. */
export const PAGES = {
  /** Of whom: what was given to somebody. */
  today: { of: 'code' },
  rack: {
    open: 'code',
    do: ['measure', 'wear', 'stickout', 'tighten', 'down', 'hold', 'fell', 'mark'],
    new: ['build'],
    job: 'code',
    operation: 'number',
    t: 'number',
    by: ['tag', 't', 'length', 'life'],
    ...RACK,
  },
  cutters: {
    ...CATALOGUE,
    open: 'code',
    do: ['facts', 'standing', 'receive', 'found', 'issue', 'return', 'move', 'reserve', 'scrap', 'lose'],
    new: ITEM_KINDS,
    like: 'code',
    family: FAMILY_NAMES,
    show: ['missing', 'ladder', 'figure'],
    fact: 'code',
    cols: 'words',
  },
  choose: {
    ...A_CUT,
    show: ['rules'],
  },
  places: {
    ...STOCK,
    ...MOVEMENTS,
    open: 'code',
    sheet: 'code',
    new: ['place'],
    show: ['places', 'stock', 'theirs', 'loans', 'regrind', 'scrap', 'counts', 'moves'],
    cols: 'words',
  },
  exchange: {},
  machines: {
    open: 'code',
    /** What is open, where it is no machine. */
    what: [...SET_UP_KINDS, 'device', 'gauge'],
    new: [...SET_UP_KINDS, 'device', 'gauge'],
    do: ['figures', 'change', 'days', 'k', 'offsets', 'spindle'],
  },
  /** `tag`: what stands in the device. */
  measure: { tag: 'code' },
  registers: REGISTERS,
  pockets: { ...POCKETS, open: 'number', do: ['magazine', 'keep'], tag: 'code' },
  /** `like`: the tag of an assembly whose build it is made of. */
  sheets: {
    open: 'code',
    new: ['sheet'],
    like: 'code',
    do: ['build', 'change'],
    operation: 'number',
    t: 'number',
  },
  /** `line`: of the program that is open. */
  jobs: {
    ...AFTER_ROW,
    ...{ open: 'code', op: 'number', t: 'number', new: ['job', 'copy', 'operation', 'machine'] },
    ...{ do: ['program', 'sheet', 'write', 'kit', 'plan', 'numbers', 'calendar'] },
    ...{ line: 'number', cart: 'code' },
  },
  /** `t` of `operation`: what a new recipe is made of. */
  cutting: { ...RECIPES, recipe: 'code', open: 'code', new: ['recipe'], do: ['instead'], show: ['bench'] },
  life: { ...LIVES, ...A_LIFE },
  /** `by`: what its cost is summed by. */
  breakages: { ...BREAKAGES, open: 'number', by: COST_KEYS },
  held: { ...HELD, ...A_TRACE, open: 'code' },
  holders: { ...HOLDERS, open: 'code', new: ['mark'], do: ['look', 'stud', 'fell'] },
  buying: { ...AFTER_ROW, open: 'code', order: 'code', new: ['order', 'kept'] },
  shift: {},
  history: ENTRIES,
  people: { open: 'code' },
  keeping: {},
  start: { step: SET_UP_KINDS },
} as const satisfies Record<string, QuestionSpec>;

export type PageName = keyof typeof PAGES;
export type PageQuestion<P extends PageName> = Question<(typeof PAGES)[P]>;
