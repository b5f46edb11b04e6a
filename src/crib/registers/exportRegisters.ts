import Papa from 'papaparse';
import { registersAsG10 } from '@/core/registers';
import { localDay } from '@/core/units';
import { Problem } from '@/crib/door';
import { sheetsView } from '@/crib/assemblies';
import { marked } from '@/crib/exchange';
import type { Connection } from '@/data/database';
import { manyBuiltFrom } from '@/data/sheets';
import { maybeMachine } from '@/data/shop';
import { asMtconnect } from './mtconnect';
import { sheetWithCards } from './sheet';
import { type RegistersAsked, registersOf } from './views/registersView';

/** How a machine's numbers go out: a program that writes them, a table, JSON, or assets of the MTConnect standard. */
export const REGISTER_FILES = {
  nc: 'text/plain; charset=us-ascii',
  csv: 'text/csv; charset=utf-8',
  json: 'application/json',
  xml: 'application/xml',
} as const;
export type RegisterFile = keyof typeof REGISTER_FILES;

const FIELDS = [
  ...['T', 'H', 'D', 'unit', 'tag', 'cutter', 'jobs', 'since', 'lacks'],
  ...['H number', 'D number', 'wear of H', 'wear of D', 'pocket', 'must not run'],
];

/**
 * What a machine is to be given as a file: what changed since it was last given its numbers, or all. A program is refused
 * where two tools want one T, since it would write the one over the other: of one job it goes.
 */
export async function exportRegisters(
  c: Connection,
  asked: RegistersAsked,
  as: RegisterFile,
  now: Date,
  zone: string,
): Promise<{ text: string; name: string }> {
  const view = await registersOf(c, { ...asked, what: asked.what ?? 'changed' }, zone);
  const { machine } = view;
  const name = `${machine.code}-registers.${as}`;
  if (as === 'json') return { text: JSON.stringify(view, null, 1), name };
  if (as === 'csv')
    return {
      text: `${Papa.unparse(
        {
          // T, H and D come first, as a control's own table has them and as it is read back.
          fields: FIELDS,
          data: view.lines.map((l) => [
            ...[
              l.t,
              l.h ?? '',
              l.d ?? '',
              machine.units,
              l.tag ?? '',
              marked(l.words ?? ''),
              l.jobs.join(' '),
            ],
            ...[l.since.state, marked(l.lacks.join('; ')), l.numbers.h, l.numbers.d],
            ...[l.wear?.h.due ?? '', l.wear?.d?.due ?? '', l.pocket ?? '', marked(l.stop ?? '')],
          ]),
        },
        { newline: '\n' },
      ).replaceAll('−', '-')}\n`,
      name,
    };
  if (as === 'xml') {
    const row = await maybeMachine(c, machine.code);
    const standing = row ? await sheetWithCards(c, row, zone) : [];
    const wanted = new Set(view.lines.flatMap((l) => (l.tag === null ? [] : [`${l.t} ${l.tag}`])));
    const built = await manyBuiltFrom(
      c,
      standing.flatMap((x) => x.row?.id ?? []),
    );
    const tools = standing.flatMap(({ line, card, row }) =>
      card && wanted.delete(`${line.t} ${card.tag}`)
        ? [
            {
              ...{ card, t: line.t, pocket: line.pocket, stop: line.stop },
              builtFrom: built.find((b) => b.assemblyId === row?.id) ?? null,
            },
          ]
        : [],
    );
    // What they are built from, as it stands now.
    const archetypes = (built.length ? await sheetsView(c) : []).filter((s) =>
      tools.some((x) => x.builtFrom?.code === s.code && x.builtFrom.version === s.version),
    );
    return { text: asMtconnect(machine.code, tools, archetypes, now), name };
  }
  const clash = view.lines.find((l) => l.clashes);
  if (clash)
    throw new Problem('CONFLICT', `Two tools want T${clash.t} or H${clash.numbers.h} of ${machine.code}`, {
      field: 'job',
      value: clash.t,
      limit: 'one tool a T, and a register of its own for each',
      wayOut: `Choose one job: ${view.jobs.join(', ')}.`,
    });
  return {
    text: registersAsG10({
      machine: machine.code,
      unit: machine.units,
      digits: machine.digits,
      diameterSchool: machine.diameterSchool,
      form: machine.g10Form,
      made: `${asked.job ? `${asked.job}, ` : ''}${localDay(now, zone)}`,
      lines: view.lines.map(({ t, numbers, h, d, wear, tag, words, stop }) => ({
        ...{ t, numbers, h, d },
        ...{ hWear: wear?.h.due ?? null, dWear: wear?.d?.due ?? null },
        words: [stop && 'must not run,', tag, words].filter(Boolean).join(' '),
      })),
    }),
    name,
  };
}
