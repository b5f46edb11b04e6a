import { last } from '@/core/sure';
import { type LengthUnit, readCents } from '@/core/units';
import type { VerbInput, VerbName } from '@/crib/verbs';

/** Names of what an input holds, dotted where it nests. Example: 'code' | 'facts' | `facts.${string}.value`. */
type NamesIn<T> = T extends readonly unknown[]
  ? never
  : T extends object
    ? { [K in keyof T & string]: K | `${K}.${NamesIn<NonNullable<T[K]>>}` }[keyof T & string]
    : never;
/** A field of a form for a verb: its name is that of something the verb takes, or the note that any entry may carry. */
export type FieldOf<N extends VerbName> = FieldSpec<NamesIn<VerbInput<N>> | 'note'>;

/** A form for one verb, told apart from the screen that shows it. */
export interface SubFormOf<N extends VerbName> {
  verb: N;
  title: string;
  submit: string;
  fields: readonly FieldOf<N>[];
}
export type SubForm = { [N in VerbName]: SubFormOf<N> }[VerbName];

/** One thing found to choose: what it becomes, and what is shown of it. */
export interface Found {
  value: string;
  title: string;
  words: string;
  caution?: string | null;
}

/** What answers to some words; `against`: why what they name can't be chosen. */
export interface FoundAnswer {
  found: Found[];
  more: boolean;
  against?: string | null;
}

/** One field of a form, by the name of the input it becomes ('facts.DC.value' is nested). */
export interface FieldSpec<Name extends string = string> {
  name: Name;
  label: string;
  kind?:
    | 'text'
    /** Words of several lines. */
    | 'lines'
    | 'length'
    | 'number'
    | 'whole'
    | 'money'
    | 'choice'
    | 'several'
    | 'search'
    | 'day'
    | 'legend'
    | 'moment';
  /** What answers to some words, asked while they are typed: for 'search'. */
  search?: (words: string, signal: AbortSignal) => Promise<FoundAnswer>;
  onPick?: (found: Found | null) => void;
  options?: readonly (readonly [string, string])[];
  help?: string;
  start?: string;
  wide?: boolean;
  optional?: boolean;
  /** A small form that adds one more to choose from, where it is first needed. */
  add?: SubForm;
  /** Name of a second, smaller choice beside it: where the fact came from. */
  origin?: string;
  /** Where the fact that stands came from, if there is one. */
  originStart?: string;
}

/** Between the values of a field that takes several: what no value has. */
export const SEVERAL = '\n';

/**
 * The input of a verb from a form's texts: blanks are left out (no value is not 0), dotted names nest, and a length
 * without a unit is sent in the unit that is shown. A pair whose value is blank is left out with its origin.
 * Example: { 'a.b': '1/4', c: '' } with a length field a.b in inch -> { a: { b: '1/4 in' } }.
 */
export function toInput(
  specs: readonly FieldSpec[],
  texts: Record<string, string | undefined>,
  unit: LengthUnit,
): Record<string, unknown> {
  const input: Record<string, unknown> = {};
  for (const spec of specs) {
    if (spec.kind === 'legend') continue;
    const text = (texts[spec.name] ?? '').trim();
    if (text === '') continue;
    if (spec.kind === 'several') {
      put(input, spec.name, text.split(SEVERAL));
      continue;
    }
    if (spec.kind === 'money') {
      // What is no amount is left for the door to refuse, by its own words.
      put(input, spec.name, readCents(text) ?? text);
      continue;
    }
    const bare = spec.kind === 'length' && !/[a-z"″]/i.test(text);
    put(input, spec.name, bare && unit === 'inch' ? `${text} in` : text);
    if (spec.origin) put(input, spec.origin, texts[spec.origin] || 'maker');
  }
  return input;
}

/** A bare length with the unit it was typed in; null where there is none to say. Example: '20' in mm -> '20 mm'. */
export const withUnit = (text: string, unit: LengthUnit): string | null =>
  text.trim() === '' || /[a-z"″]/i.test(text) ? null : `${text.trim()} ${unit === 'mm' ? 'mm' : 'in'}`;

function put(into: Record<string, unknown>, path: string, value: unknown): void {
  const keys = path.split('.');
  let at = into;
  // What is put there by a dotted name is always an object.
  for (const key of keys.slice(0, -1)) at = (at[key] ??= {}) as Record<string, unknown>;
  at[last(keys)] = value;
}

/** Words of a problem that belong under a field: its own, or those of a part below it ('supply' under 'supply.pack'). */
export function problemOf(
  name: string,
  parts: readonly { field: string | null; detail: string }[],
): string | undefined {
  return parts.find((p) => p.field === name || (p.field !== null && name.startsWith(`${p.field}.`)))?.detail;
}
