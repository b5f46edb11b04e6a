// Rows
export type { EntryRow } from './types';
// Reading
export {
  lastEntry,
  lastEntryBefore,
  lastRecorded,
  manyEntries,
  manyFormAnswers,
  maybeEntry,
  maybeFormAnswer,
  maybeItemOfEntry,
} from './read';
// Writing
export { insertEntry, insertFormAnswer, insertNeeds, nextEntryId } from './write';
