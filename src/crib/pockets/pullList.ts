import { staysOnRack } from '@/core/pockets';
import type { KitTool } from './kitTool';

/** What is to be fetched, in the order of the shelves. */
export interface PullLine {
  place: string;
  /** A tag that is pulled, or what is taken for a build. */
  what: string;
  words: string;
  forT: number;
}

const inOrder = new Intl.Collator('en', { numeric: true });
/** What is to be fetched, one walk along the shelves: what hangs on the rack last, since it goes to the machine from there. */
export function pullList(tools: readonly KitTool[]): PullLine[] {
  const taken = tools.flatMap((t): PullLine[] => {
    const first = [
      ...new Map([...t.pieces].reverse().map((p) => [p.what === 'part' ? p.item : p.what, p])).values(),
    ];
    return first
      .reverse()
      .map((p) => ({ place: p.place, what: p.item, words: `${p.words}, ${p.take}`, forT: t.t }));
  });
  const pulled = tools.flatMap((t): PullLine[] =>
    t.tag !== null && staysOnRack([t]) === null && t.pocket === null && !t.pulled && !t.elsewhere
      ? [{ place: 'rack', what: t.tag, words: t.words ?? '', forT: t.t }]
      : [],
  );
  return [...taken.sort((a, b) => inOrder.compare(a.place, b.place)), ...pulled];
}
