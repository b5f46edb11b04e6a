import type { AssemblyOutline } from '@/core/assemblies';
import { labelCode, printOf } from '@/core/links';
import { registerText } from '@/core/measuring';
import { LIMITS, mostOf } from '@/core/limits';
import type { LABELS, Question } from '@/core/questions';
import { localDay } from '@/core/units';
import { found, Problem } from '@/crib/door';
import { manyAssembliesById, manyStandingAssemblies } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { manyOperationsOfJob, manyTies } from '@/data/jobs';
import type { MachineRegisters } from './registers';
import { type AssemblyView, assemblyView } from './views/assemblyView';

/** What stands on the label of an assembly: a blank (null) looks like a blank. */
export interface Label {
  tag: string;
  /** What its code says when it is scanned: an old label is known for one. */
  code: string;
  words: string;
  holder: string;
  /** As it was entered; when and by whom it was measured. */
  length: { text: string; day: string; who: string } | null;
  diameter: string | null;
  stickout: string;
  /** Registers of the machines it may go to, each in a line. */
  registers: string[];
  /** Why it must not run: then it has no numbers to enter. */
  stop: string | null;
  outline: AssemblyOutline;
}

/**
 * The labels that are asked for, in the order of their tags as they are named, of a job's T, or by number. One that does
 * not stand, or more than are printed at once, is refused by name.
 */
export async function labelsAsked(
  c: Connection,
  asked: Question<typeof LABELS>,
  zone: string,
): Promise<Label[]> {
  const list = (text: string | undefined) =>
    (text ?? '')
      .split(',')
      .map((x) => x.trim())
      .filter(Boolean);
  const tags = await tagsAsked(c, list(asked.tags), asked.job);
  if (tags.length > LIMITS.labels.most)
    throw new Problem('TOO_LARGE', `${tags.length} labels at once`, {
      field: 'tags',
      value: tags.length,
      limit: mostOf('labels'),
      wayOut: 'Name some tags, or a job.',
    });
  const labels: Label[] = [];
  for (const tag of tags) {
    const card = found(await assemblyView(c, tag, zone), 'tags', tag, 'assembly that stands');
    labels.push(labelOf(card, zone, list(asked.machines)));
  }
  return labels;
}

async function tagsAsked(c: Connection, tags: readonly string[], job: string | undefined): Promise<string[]> {
  if (tags.length) return [...new Set(tags)];
  if (job === undefined) return (await manyStandingAssemblies(c)).map((a) => a.tag);
  const operations = await manyOperationsOfJob(c, job);
  found(operations[0] ?? null, 'job', job, 'job');
  const ties = await manyTies(
    c,
    operations.map((o) => o.id),
  );
  const byT = [...new Set(ties.flatMap((t) => t.assemblyId ?? []))];
  const rows = new Map((await manyAssembliesById(c, byT)).map((a) => [a.id, a]));
  return byT.flatMap((id) => {
    const row = rows.get(id);
    return row && row.takenDownEntryId === null ? [row.tag] : [];
  });
}

/** A label has room for so many lines of registers. */
const ROOM = 2;

/**
 * The label of an assembly as it would be printed now, with the registers of some machines; none chosen: of those its
 * jobs run on first.
 */
export function labelOf(card: AssemblyView, zone: string, machines: readonly string[] = []): Label {
  const m = card.measured.state === 'measured' ? card.measured.measurement : null;
  const tied = new Set(machines.length ? machines : card.ties.map((t) => t.machine));
  const registers = [...card.registers]
    .filter((r) => !machines.length || tied.has(r.machine))
    .sort((a, b) => Number(tied.has(b.machine)) - Number(tied.has(a.machine)))
    // One that says its job as well takes both lines.
    .filter((r, i) => i < (r.ofJob === null ? ROOM : 1))
    .map(registerWords);
  const stop =
    (card.heldBack === null ? null : `held back: ${card.heldBack}`) ??
    card.itself.judgements.find((j) => j.grade === 'stop')?.words ??
    card.ties.find((t) => t.use.grade === 'stop')?.use.why ??
    null;
  const bare = (text: string) => text.replace(/ mm$/, '');
  const length = m && bare(m.gaugeLengthEntered);
  const diameter = m?.diameterEntered ? bare(m.diameterEntered) : null;
  return {
    tag: card.tag,
    code: labelCode({
      tag: card.tag,
      measurement: m?.entryId ?? 0,
      // Figures alone: which machines were chosen for it is no change of theirs.
      print: printOf([
        length ?? '',
        diameter ?? '',
        stop === null ? '' : 'stop',
        ...card.registers.map(registerWords),
      ]),
    }),
    words: card.cutter.words,
    holder: card.holder.code,
    length: m && length ? { text: length, day: localDay(m.happenedAt, zone), who: m.who } : null,
    diameter,
    stickout: bare(card.stickoutEntered),
    registers: stop === null ? registers : [],
    stop,
    outline: card.outline,
  };
}

/** A register as it is typed in, with the job it is for and the day since which the machine's figures hold. */
const registerWords = ({ machine, units, digits, H, ofJob, since }: MachineRegisters): string =>
  'needs' in H
    ? `${machine} needs ${H.needs}`
    : `${machine} H ${registerText(H, { units, digits })}${ofJob ? ` ${ofJob}` : ''} K ${since.machine.slice(2)}`;
