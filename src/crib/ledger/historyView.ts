import type { Connection } from '@/data/database';
import { manyEntries, manyFormAnswers } from '@/data/ledger';

export interface HistoryLine {
  id: number;
  kind: string;
  words: string;
  who: string;
  happenedAt: Date;
  note: string | null;
  counters: number | null;
  counteredBy: number | null;
}

/** What each kind of entry says in one line, from the answer it was given. */
const WORDS: Record<string, (a: Record<string, unknown>) => string> = {
  addPerson: (a) => `person ${a.initials}`,
  addPlace: (a) => `place ${a.code}`,
  addMaterial: (a) => `material ${a.code}`,
  addSupplier: (a) => `supplier ${a.code}`,
  addMachine: (a) => `machine ${a.code}`,
  changeMachine: (a) => `new figures of ${a.code}`,
  importItems: (a) => `list ${a.name}: ${a.added} new, ${a.changed} changed`,
  addItem: (a) => `item ${a.code}`,
  linkItem: (a) => `${a.item} is a ${a.relation} of ${a.earlier}`,
  stateStanding: (a) => `${a.item}: ${a.standing}`,
  stateFacts: (a) => `facts of ${a.item}`,
  receiveStock: (a) => `${a.quantity} × ${a.item} received onto ${a.place}`,
  foundStock: (a) => `${a.quantity} × ${a.item} found at ${a.place}`,
  moveStock: (a) => `${a.what} from ${a.from} to ${a.to}`,
  issueStock: (a) => `${a.what} to ${a.to}${a.due ? `, back by ${a.due}` : ''}`,
  returnStock: (a) => `${a.what} back to ${a.to}`,
  scrapStock: (a) => `${a.what} scrapped: ${a.reason}`,
  loseStock: (a) => `${a.what} lost: ${a.reason}`,
  startCount: (a) => `count ${a.number} of ${a.place} begun`,
  enterCount: (a) => `${a.lines} lines counted on ${a.sheet}`,
  bookCount: (a) => `count ${a.sheet} booked, ${a.differ} differed`,
  sendToRegrind: (a) => `${a.piece} to be reground at ${a.to}`,
  takeFromRegrind: (a) => (a.lost ? `${a.piece} lost at regrinding` : `${a.piece} back, reground`),
  stateSeat: (a) => `seat ${a.seat} of ${a.piece} ${a.damaged ? 'damaged' : 'good'}`,
  mountInserts: (a) => `${a.quantity} × ${a.item} into ${a.piece}`,
  unmountInserts: (a) =>
    `${a.back} × ${a.item} out of ${a.piece}, ${a.edgesLeft} edges left, ${a.scrapped} scrapped`,
  settleTakings: (a) => `${a.pieces} taken of ${a.supplier}’s stock settled`,
  setLadder: () => 'the ladder of second lives',
  setChoosingRules: () => 'rules for choosing cutters',
  addPicture: (a) => `picture of ${a.of}: ${a.shows}`,
  saveView: (a) => `question kept as ${a.name}`,
  gradePiece: (a) => `${a.piece} graded: ${a.grade}`,
  buildAssembly: (a) => `${a.tag} built`,
  resetStickout: (a) => `${a.was} re-set, now ${a.tag}`,
  takeDown: (a) => `${a.tag} taken down, ${a.piece} to ${a.cutterTo}`,
  recordMeasurement: (a) => `${a.tag} measured${a.inQuestion ? ', in question' : ''}`,
  judgeMeasurement: (a) => `measurement ${a.measurement} ${a.accepted ? 'accepted' : 'rejected'}`,
  addJob: (a) => `job ${a.number}`,
  stateOperation: () => 'operation figures',
  storeProgram: (a) => `program with ${a.tools} tools`,
  tieTool: (a) => `T${a.t} ${a.tag ? `is ${a.tag}` : 'freed'}`,
  statePassDepth: (a) => `depth of one pass of T${a.t}`,
  logParts: (a) => (a.parts === 1 ? '1 part made' : `${a.parts} parts made`),
  assignUse: (a) => `minutes given to ${a.tag}`,
  recordWear: (a) => `${a.tag}: flank wear ${a.flankWearMm} mm`,
  endLife: (a) => `${a.piece} of ${a.tag} ended${a.newTag ? `, now ${a.newTag}` : ''}`,
  placeOrder: (a) => `${a.number} ordered: ${a.item}`,
  receiveOrder: (a) => `${a.number} received, ${a.open} open`,
  counterEntry: (a) => `takes back entry ${a.countered} (${a.kind})`,
};

/** The ledger, newest first. */
export async function historyView(
  c: Connection,
  limit = 200,
  before: number | null = null,
): Promise<HistoryLine[]> {
  const entries = await manyEntries(c, limit, before);
  const answers = new Map(
    (
      await manyFormAnswers(
        c,
        entries.map((e) => e.formId),
      )
    ).map((a) => [a.formId, a.answer]),
  );
  return entries.map((e) => ({
    id: e.id,
    kind: e.kind,
    words: WORDS[e.kind]?.(answers.get(e.formId) ?? {}) ?? e.kind,
    who: e.who,
    happenedAt: e.happenedAt,
    note: e.note,
    counters: e.counters,
    counteredBy: e.counteredBy,
  }));
}
