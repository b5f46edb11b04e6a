import { whoMay } from '@/core/people';
import { SET_UP_KINDS, type SetUpKind } from '@/core/setUp';
import { defineVerb, field, found, type Moment, Problem, toNumber } from '@/crib/door';
import type { Connection } from '@/data/database';
import { maybeSigner } from '@/data/people';
import {
  insertNaming,
  insertSupplierTerms,
  maybeMachine,
  maybeMaterial,
  maybePerson,
  maybeSupplier,
  stillHolding,
} from '@/data/shop';
import { maybePlace } from '@/data/stock';

/** One of what is set up once, as it is now. */
interface SetUpThing {
  code: string;
  name: string;
  inUse: boolean;
  entryId: number | null;
  /** Which row of the ledger is called otherwise. */
  row: Omit<Parameters<typeof insertNaming>[2], 'name' | 'inUse' | 'reason'>;
  holding: () => Promise<string | null>;
}

const READ: Record<SetUpKind, (c: Connection, code: string) => Promise<SetUpThing | null>> = {
  async person(c, code) {
    const p = await maybePerson(c, code.toUpperCase());
    return (
      p && {
        ...p,
        code: p.initials,
        entryId: null,
        row: { person: p.initials },
        holding: () => stillHolding.person(c, p.initials),
      }
    );
  },
  async place(c, code) {
    const p = await maybePlace(c, code.toUpperCase());
    // Hands, builds, scrap and lost are nobody's to name.
    if (!p || p.entryId === null) return null;
    return { ...p, row: { placeId: p.id }, holding: () => stillHolding.place(c, p.id) };
  },
  async material(c, code) {
    const m = await maybeMaterial(c, code);
    return m && { ...m, row: { materialId: m.id }, holding: () => stillHolding.material(c, m.id) };
  },
  async supplier(c, code) {
    const s = await maybeSupplier(c, code);
    return s && { ...s, row: { supplierId: s.id }, holding: () => stillHolding.supplier(c, s.id) };
  },
  async machine(c, code) {
    const m = await maybeMachine(c, code);
    return m && { ...m, row: { machineId: m.id }, holding: () => stillHolding.machine(c, m.id) };
  },
};

/** Calls it otherwise, takes it out of use or puts it back; refused while something still hangs on it. */
export const changeSetUp = defineVerb({
  name: 'changeSetUp',
  may: ['crib'],
  path: 'set-up-changes',
  summary:
    'Change the name of a person, place, material, supplier or machine, a supplier’s lead time, or say whether it is still in use. What is left out stays.',
  properties: {
    what: field.choice(SET_UP_KINDS),
    code: { ...field.code, description: 'Its code; initials of a person' },
    name: field.words(),
    inUse: field.choice(['yes', 'no']),
    leadTimeDays: { ...field.whole(0, 1000), description: 'Of a supplier alone' },
    reason: field.words(120),
  },
  required: ['what', 'code'],
  async run(c, input, moment) {
    const thing = found(await READ[input.what](c, input.code), 'code', input.code, input.what);
    const inUse = input.inUse === undefined ? thing.inUse : input.inUse === 'yes';
    if (input.what === 'person' && inUse !== thing.inUse) await mayChangePeople(c, thing.code, moment);
    if (!inUse && thing.inUse) await mayGo(thing, input.what);
    moment.leansOn(thing.entryId);
    await insertNaming(c, moment.entryId, {
      ...thing.row,
      name: input.name?.trim() ?? thing.name,
      inUse,
      reason: input.reason?.trim() || null,
    });
    if (input.leadTimeDays !== undefined) await newTerms(c, moment, thing, toNumber(input.leadTimeDays));
    return { what: input.what, code: thing.code, name: input.name?.trim() ?? thing.name, inUse };
  },
  says: (a) => `${a.what} ${a.code}, ${a.name}: ${a.inUse ? 'in use' : 'out of use'}`,
});

/** Who was given something to do here goes, or comes back, by an owner's word. */
async function mayChangePeople(c: Connection, initials: string, moment: Moment): Promise<void> {
  if (moment.role === 'owner' || (await maybeSigner(c, initials))?.role == null) return;
  throw new Problem('NOT_ALLOWED', `${initials} signs in here: that ends by an owner’s word`, {
    field: 'code',
    value: initials,
    limit: whoMay([]),
    wayOut: 'Ask an owner to do it.',
  });
}

async function mayGo(thing: SetUpThing, what: SetUpKind): Promise<void> {
  const holding = await thing.holding();
  if (holding === null) return;
  throw new Problem('REFUSED', `${what} ${thing.code} ${holding}`, {
    field: 'inUse',
    value: 'no',
    limit: WANTED[what],
    wayOut: `Finish that first, then take ${thing.code} out of use.`,
  });
}

/** What must be so before it goes. */
const WANTED: Record<SetUpKind, string> = {
  person: 'hands empty, and somebody else who signs',
  place: 'empty, nothing in it, not being counted',
  material: 'no open job in it',
  supplier: 'no stock of theirs here',
  machine: 'no open job on it',
};

async function newTerms(c: Connection, moment: Moment, thing: SetUpThing, days: number): Promise<void> {
  if (thing.row.supplierId === undefined)
    throw new Problem('INVALID_INPUT', `leadTimeDays: ${thing.code} is no supplier`, {
      field: 'leadTimeDays',
      value: days,
      limit: 'left out, but of a supplier',
    });
  await insertSupplierTerms(c, moment.entryId, { supplierId: thing.row.supplierId, leadTimeDays: days });
}
