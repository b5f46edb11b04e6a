/** A T of a job and the assembly that is to be in the machine for it. */
export interface Need {
  t: number;
  tag: string;
}

/** What is in a pocket. */
export interface InPocket extends Need {
  pocket: number;
}

/** One thing done at the magazine before a job: into a pocket, in the place of what was in it; or out of it. */
export interface Change {
  pocket: number;
  /** null: it is only emptied. */
  load: Need | null;
  out: string | null;
}

export interface JobChanges {
  job: string;
  changes: Change[];
  /** T for which there is no pocket: the job wants more tools than the machine has room for. */
  noRoom: number[];
}

/**
 * The fewest changes at a magazine for some jobs one after another. Before each job, what it wants and what is not there is
 * loaded: into an empty pocket, or in the place of the tool that is wanted again latest, or never (Belady 1966, from memory:
 * with one change a tool nothing does with fewer). A tool under a T that the job wants for another is taken out whether it
 * is wanted later or not, since a control has each T once. `keeps`: tags that are taken out last, such as those kept in the
 * machine under their number. Example: 2 pockets with a, b; jobs want a+c, then a+b: c in the place of b, then b in the place of c: 2 changes.
 */
export function fewestChanges(
  pockets: number,
  loaded: readonly InPocket[],
  jobs: readonly { job: string; needs: readonly Need[] }[],
  keeps: ReadonlySet<string> = new Set(),
): JobChanges[] {
  const inPocket = new Map<number, Need>(loaded.map((l) => [l.pocket, { t: l.t, tag: l.tag }]));
  /** Of each T, which jobs want it for what, in their order. */
  const wants = new Map<number, { at: number; tag: string }[]>();
  for (const [at, { needs }] of jobs.entries())
    for (const { t, tag } of needs) wants.set(t, [...(wants.get(t) ?? []), { at, tag }]);
  return jobs.map(({ job, needs }, i) => {
    const changes: Change[] = [];
    const noRoom: number[] = [];
    const wanted = new Map(needs.map((n) => [n.tag, n]));
    // Before it is wanted again its T may be wanted for another: then it is of no use to keep it in.
    const next = ({ t, tag }: Need) => {
      const then = wants.get(t)?.find(({ at }) => at > i);
      return then?.tag === tag ? then.at : Infinity;
    };
    // In the machine under the T it is wanted for: it stays.
    const isRight = (n: Need) => wanted.get(n.tag)?.t === n.t;
    const stays = new Set([...inPocket.values()].filter(isRight).map((n) => n.tag));
    const takesT = new Set(needs.map((n) => n.t));
    // Another tool under a T of this job, or a tool of this job under another T, can't stay where it is.
    const mustGo = [...inPocket].filter(
      ([, n]) => !stays.has(n.tag) && (takesT.has(n.t) || wanted.has(n.tag)),
    );
    const may = [...inPocket]
      .filter(([, n]) => !stays.has(n.tag) && !takesT.has(n.t) && !wanted.has(n.tag))
      .sort(([, a], [, b]) => Number(keeps.has(a.tag)) - Number(keeps.has(b.tag)) || order(next(b), next(a)));
    const empty = Array.from({ length: pockets }, (_, n) => n + 1).filter((p) => !inPocket.has(p));
    // One that is here under another T is only numbered anew, where it is.
    const own = new Map(mustGo.flatMap(([p, n]) => (wanted.has(n.tag) ? [[n.tag, p] as const] : [])));
    // What comes in goes where another stands under its T: into any other pocket it could not go before that one is out.
    const comesIn = new Set(needs.filter((n) => !stays.has(n.tag) && !own.has(n.tag)).map((n) => n.t));
    const ofT = new Map(
      mustGo.flatMap(([p, n]) => (!own.has(n.tag) && comesIn.has(n.t) ? [[n.t, p] as const] : [])),
    );
    const kept = new Set(ofT.values());
    const places = [
      ...mustGo.filter(([p, n]) => !own.has(n.tag) && !kept.has(p)).map(([p]) => p),
      ...empty,
      ...may.map(([p]) => p),
    ];
    for (const need of needs) {
      if (stays.has(need.tag)) continue;
      const pocket = own.get(need.tag) ?? ofT.get(need.t) ?? places.shift();
      if (pocket === undefined) {
        noRoom.push(need.t);
        continue;
      }
      const before = inPocket.get(pocket)?.tag ?? null;
      changes.push({ pocket, load: need, out: before === need.tag ? null : before });
      inPocket.set(pocket, need);
    }
    // More that can't stay than comes in: taken out, and nothing in their place.
    for (const [pocket, n] of mustGo)
      if (inPocket.get(pocket) === n) {
        changes.push({ pocket, load: null, out: n.tag });
        inPocket.delete(pocket);
      }
    return { job, changes, noRoom };
  });
}

/** Infinity less Infinity is no number. */
const order = (a: number, b: number): number => (a === b ? 0 : a - b);
