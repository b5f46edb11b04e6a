import { GROUP_WORDS, GROUPS } from '@/core/choosing';
import { DIAMETER_SCHOOLS, LENGTH_SCHOOLS } from '@/core/measuring';
import { ADDED_PLACES } from '@/core/stock';
import type { ShopView } from '@/crib/shop';
import type { VerbName } from '@/crib/verbs';
import type { FieldOf, SubFormOf } from '@/ui/kit/form';

/** The forms that set a shop up, used at the first run and where a thing is first needed. */
interface SetUp<N extends VerbName> extends SubFormOf<N> {
  why: string;
}

const ISO_GROUPS = GROUPS.map((g) => [g, `${g} ${GROUP_WORDS[g]}`] as const);

export const MACHINE_FIGURES: FieldOf<'changeMachine'>[] = [
  { name: 'taper', label: 'Taper' },
  {
    name: 'lengthSchool',
    label: 'Length register is',
    kind: 'choice',
    options: Object.entries(LENGTH_SCHOOLS),
    wide: true,
  },
  {
    name: 'k',
    label: 'K, gauge line to datum surface',
    kind: 'length',
    optional: true,
    help: 'with Z at home; for registers down to the datum surface or touched off',
  },
  {
    name: 'k0',
    label: "Stand's constant K0",
    kind: 'length',
    optional: true,
    help: 'one stand for many machines',
  },
  {
    name: 'masterLength',
    label: 'Master tool length',
    kind: 'length',
    optional: true,
    help: 'against a master tool',
  },
  {
    name: 'diameterSchool',
    label: 'Diameter register is',
    kind: 'choice',
    options: Object.entries(DIAMETER_SCHOOLS),
  },
  {
    name: 'units',
    label: 'Its units',
    kind: 'choice',
    options: [
      ['mm', 'mm'],
      ['inch', 'inch'],
    ],
  },
  {
    name: 'hEqualsT',
    label: 'H must equal T',
    kind: 'choice',
    options: [
      ['yes', 'yes'],
      ['no', 'no'],
    ],
  },
  { name: 'rpmMax', label: 'Highest rev/min', kind: 'number', optional: true },
  { name: 'feedMax', label: 'Feed limit a minute', kind: 'length', optional: true },
  { name: 'rapid', label: 'Rapid a minute', kind: 'length', optional: true },
  { name: 'toolChangeS', label: 'Tool change, seconds', kind: 'number', optional: true },
  {
    name: 'withoutPoint',
    label: 'X10 without a point is',
    kind: 'choice',
    optional: true,
    options: [
      ['as written', 'ten, as written'],
      ['least increment', 'ten least increments'],
    ],
    help: 'blank: not known, programs with such numbers are asked about',
  },
  {
    name: 'g10Form',
    label: 'Takes registers from a program as',
    kind: 'choice',
    optional: true,
    options: [
      ['table', 'G10 L1, length and radius of a tool at once'],
      ['geometry and wear', 'G10 L10 to L13, geometry and wear apart'],
    ],
    help: 'by the control’s own manual',
  },
  {
    name: 'digits',
    label: 'Digits of its registers',
    kind: 'whole',
    optional: true,
    help: 'after the point; blank: 3 of a mm, 4 of an inch',
  },
  {
    name: 'wearRegisters',
    label: 'Wear has registers of its own',
    kind: 'choice',
    optional: true,
    options: [
      ['yes', 'yes'],
      ['no', 'no'],
    ],
    help: 'where a correction of size goes',
  },
  {
    name: 'ownSetter',
    label: 'Measures its tools itself',
    kind: 'choice',
    optional: true,
    options: [
      ['length', 'their length'],
      ['length and diameter', 'length and diameter'],
    ],
    help: 'its figures are read back, never written',
  },
  {
    name: 'coolantBar',
    label: 'Coolant through the spindle, bar',
    kind: 'number',
    optional: true,
    help: '0: none',
  },
  {
    name: 'dwellUnit',
    label: 'P of a dwell is in',
    kind: 'choice',
    optional: true,
    help: 'blank: seconds',
    options: [
      ['seconds', 'seconds'],
      ['milliseconds', 'milliseconds'],
    ],
  },
  {
    name: 'peckClearance',
    label: 'Pecks stop above the depth by',
    kind: 'length',
    optional: true,
    help: 'how far a G83 stays clear on its way back in',
  },
  {
    name: 'dEqualsT',
    label: 'D must be T',
    kind: 'choice',
    optional: true,
    options: [
      ['yes', 'yes'],
      ['no', 'no'],
    ],
  },
  { name: 'huntsFrom', label: 'Spindle hunts from, rev/min', kind: 'number', optional: true },
  { name: 'huntsTo', label: 'Spindle hunts up to, rev/min', kind: 'number', optional: true },
  {
    name: 'travelZ',
    label: 'Travel of Z, down from home',
    kind: 'length',
    optional: true,
    help: 'a first Z past it is then found before the machine stops at it',
  },
  {
    name: 'acceleration',
    label: 'Acceleration of its axes, m/s²',
    kind: 'number',
    optional: true,
    help: 'with the next: what a part takes is then reckoned as it runs',
  },
  {
    name: 'corner',
    label: 'Stays this near to a corner',
    kind: 'length',
    optional: true,
    help: 'the tolerance it slows down for; often 0.01 mm',
  },
];

export const SET_UP: {
  person: SetUp<'addPerson'>;
  place: SetUp<'addPlace'>;
  machine: SetUp<'addMachine'>;
  material: SetUp<'addMaterial'>;
  supplier: SetUp<'addSupplier'>;
} = {
  person: {
    verb: 'addPerson',
    title: 'People',
    why: 'Whoever does something signs it with initials.',
    submit: 'Add person',
    fields: [
      { name: 'initials', label: 'Initials, capitals' },
      { name: 'name', label: 'Name' },
    ],
  },
  place: {
    verb: 'addPlace',
    title: 'Places',
    why: 'Cabinets, shelves and drawers where things lie, one inside the other. A returned cutter needs one too.',
    submit: 'Add place',
    fields: [
      { name: 'code', label: 'Code' },
      { name: 'name', label: 'Name' },
      {
        name: 'kind',
        label: 'Kind',
        kind: 'choice',
        options: ADDED_PLACES.map((k) => [k, k === 'regrind' ? 'regrind shop' : k] as const),
      },
      { name: 'parent', label: 'Inside place, by code', optional: true },
    ],
  },
  machine: {
    verb: 'addMachine',
    title: 'Machines',
    why: 'How a machine understands its registers decides what is typed into it.',
    submit: 'Add machine',
    fields: [{ name: 'code', label: 'Code' }, { name: 'name', label: 'Name' }, ...MACHINE_FIGURES],
  },
  material: {
    verb: 'addMaterial',
    title: 'Materials',
    why: 'A life is one cutter in one work material.',
    submit: 'Add material',
    fields: [
      { name: 'code', label: 'Code' },
      { name: 'name', label: 'Name' },
      { name: 'isoGroup', label: 'ISO 513 group', kind: 'choice', options: ISO_GROUPS },
    ],
  },
  supplier: {
    verb: 'addSupplier',
    title: 'Suppliers',
    why: 'Lead time says by which day to order.',
    submit: 'Add supplier',
    fields: [
      { name: 'code', label: 'Code' },
      { name: 'name', label: 'Name' },
      { name: 'leadTimeDays', label: 'Lead time, days', kind: 'whole', optional: true },
    ],
  },
};

/** What is there of each kind. */
export const countOf = (shop: ShopView): Record<keyof typeof SET_UP, number> => ({
  person: shop.people.length,
  place: shop.places.filter((p) => p.entryId !== null).length,
  machine: shop.machines.length,
  material: shop.materials.length,
  supplier: shop.suppliers.length,
});
