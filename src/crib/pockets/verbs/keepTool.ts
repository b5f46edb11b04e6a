import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import { insertKeptTool, manyKept } from '@/data/pockets';
import { maybeMachine } from '@/data/shop';

/** Standard tools are kept in every machine under one number: what somebody programs for one runs on the next. */
export const keepTool = defineVerb({
  name: 'keepTool',
  may: ['crib', 'planner'],
  path: 'kept-tools',
  summary: 'Keep a cutter in some machines under its T; without a cutter: nothing is kept under it any more.',
  properties: {
    machines: { type: 'array', minItems: 1, maxItems: 40, items: field.code },
    t: field.whole(0, 9999),
    item: field.words(40),
  },
  required: ['machines', 't'],
  async run(c, input, moment) {
    const t = toNumber(input.t);
    const item =
      input.item === undefined ? null : found(await maybeItem(c, input.item), 'item', input.item, 'cutter');
    if (item && item.kind !== 'cutter' && item.kind !== 'body')
      throw new Problem('REFUSED', `${item.code} does not cut`, {
        field: 'item',
        value: item.code,
        limit: 'a cutter or a body',
        wayOut: 'Choose a cutter.',
      });
    if (item) moment.leansOn(item.entryId);
    for (const code of new Set(input.machines)) {
      const machine = found(await maybeMachine(c, code), 'machines', code, 'machine');
      const now = (await manyKept(c, machine.id)).find((k) => k.t === t);
      if (now) moment.leansOn(now.entryId);
      moment.leansOn(machine.entryId);
      await insertKeptTool(c, moment.entryId, { machineId: machine.id, t, itemId: item?.id ?? null });
    }
    return { t, item: item?.code ?? null, machines: [...new Set(input.machines)] };
  },
  says: (a) => (a.item ? `${String(a.item)} kept as T${a.t}` : `nothing kept as T${a.t}`),
});
