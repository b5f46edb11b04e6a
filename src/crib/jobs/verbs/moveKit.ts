import { staysOnRack } from '@/core/pockets';
import { first } from '@/core/sure';
import { standing } from '@/crib/assemblies';
import { defineVerb, field, found, foundInUse, Problem } from '@/crib/door';
import { standingOn } from '@/crib/rack';
import { workAround } from '@/crib/work';
import type { AssemblyRow } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { insertKitMove, manyKitMoves, manyTies, maybeOperation, type OperationRow } from '@/data/jobs';
import { maybeLoadOf } from '@/data/pockets';
import { maybePlace } from '@/data/stock';
import { jobLines } from '../jobLines';

export const moveKit = defineVerb({
  name: 'moveKit',
  may: ['crib', 'planner', 'operator'],
  path: 'kit-moves',
  summary:
    'Take an assembly off the rack for an operation, onto a cart where one is named, or put it back on the rack. What must not run there is not taken.',
  properties: {
    operation: field.number,
    tag: field.words(20),
    to: field.choice(['cart', 'rack']),
    cart: field.code,
  },
  required: ['operation', 'tag', 'to'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const assembly = await standing(c, moment, input.tag);
    const [last] = await manyKitMoves(c, [assembly.id]);
    const isOut = last?.isPulled ?? false;
    const isPulled = input.to === 'cart';
    const load = isPulled ? await maybeLoadOf(c, assembly.id) : null;
    if (load)
      throw new Problem('CONFLICT', `${assembly.tag} is in ${load.machine}, pocket ${load.pocket}`, {
        field: 'tag',
        value: assembly.tag,
        limit: 'what hangs on the rack',
        wayOut: 'Take it out of the pocket first.',
      });
    if (isPulled && last?.isPulled && last.operationId !== operation.id) {
      const other = await maybeOperation(c, last.operationId);
      throw new Problem(
        'CONFLICT',
        `${assembly.tag} was pulled for ${other?.job ?? 'another job'} by ${last.who}`,
        {
          field: 'tag',
          value: assembly.tag,
          limit: 'what hangs on the rack',
          wayOut: 'Ask there, and put it back on the rack first.',
        },
      );
    }
    if (isOut === isPulled)
      throw new Problem(
        'CONFLICT',
        `${assembly.tag} ${isOut ? 'is pulled already' : 'hangs on the rack already'}`,
        {
          field: 'tag',
          value: assembly.tag,
          wayOut: 'Nothing is to be done.',
        },
      );
    const ties = isPulled ? await manyTies(c, [operation.id]) : [];
    if (isPulled && !ties.some((t) => t.assemblyId === assembly.id))
      throw new Problem('REFUSED', `${assembly.tag} is on no T of ${operation.job}`, {
        field: 'tag',
        value: assembly.tag,
        limit: 'what is tied to its tools',
        wayOut: 'Tie it to its T first: the kit then shows where it is.',
      });
    const stays = isPulled ? await whyItStays(c, operation, assembly) : null;
    if (stays !== null)
      throw new Problem('REFUSED', `${assembly.tag} stays on the rack: ${stays}`, {
        field: 'tag',
        value: assembly.tag,
        limit: `what may run for ${operation.job}`,
        wayOut: 'See to that first, or tie another tool to its T.',
      });
    const cart =
      input.cart === undefined
        ? null
        : foundInUse(await maybePlace(c, input.cart), 'cart', input.cart, 'place');
    moment.leansOn(operation.entryId);
    moment.leansOn(assembly.entryId);
    moment.leansOn(cart?.entryId ?? null);
    await insertKitMove(c, moment.entryId, {
      operationId: operation.id,
      assemblyId: assembly.id,
      isPulled,
      cartId: cart?.id ?? null,
    });
    return { tag: assembly.tag, job: operation.job, to: input.to };
  },
  says: (a) => (a.to === 'cart' ? `${a.tag} pulled for ${a.job}` : `${a.tag} back on the rack`),
});

/** What the job says of it as each T that its program calls; of one that none calls, what its tag says by itself. */
async function whyItStays(
  c: Connection,
  operation: OperationRow,
  assembly: AssemblyRow,
): Promise<string | null> {
  const around = await workAround(c, [operation]);
  const work = {
    ...around,
    ties: around.ties.filter((tie) => tie.assemblyId === assembly.id),
    assemblies: new Map([[assembly.id, assembly]]),
  };
  const cards = await standingOn(c, work);
  const called = first(jobLines(work, cards)).tools.filter((line) => line.tag === assembly.tag);
  const uncalled = { ...first(work.ties), ...first(cards).itself };
  return staysOnRack(called.length ? called.map(({ t, use }) => ({ t, ...use })) : [uncalled]);
}
