// What can be asked in an address
export { MOST_CHARACTERS } from './question';
export type { Kind, Question, QuestionSpec } from './question';
// The questions of the views, the same for the API and the pages
export {
  A_BREAKAGE,
  A_COUNT,
  A_CUT,
  A_HOLD,
  A_JOB,
  A_LIFE,
  A_PLACE,
  A_RECIPE,
  A_RUN,
  A_RUN_ALONE,
  A_HOLDER,
  A_TRACE,
  ALONE_CHANCES,
  BREAKAGES,
  HELD,
  HOLDERS,
  PROGRESS,
  REGISTERS,
  AFTER_ROW,
  AN_ASSEMBLY,
  AN_END,
  BENCH,
  A_SHEET,
  LABELS,
  POCKETS,
  RACK,
  RECIPES,
  A_MACHINE,
  AN_ITEM,
  CATALOGUE,
  CATALOGUE_ORDERS,
  ENTRIES,
  LIES,
  LIVES,
  MOVEMENTS,
  NOTHING,
  orderAsked,
  STOCK,
  STOCK_ORDERS,
  TAKEABLE,
} from './views';
// The pages
export { PAGES } from './pages';
export type { PageName, PageQuestion } from './pages';
