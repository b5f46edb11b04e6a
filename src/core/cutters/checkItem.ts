import { sure } from '../sure';
import { checkCutter } from './checkCutter';
import { checkHolder } from './checkHolder';
import { familySpec, type Family, type ItemFault } from './families';
import { GEOMETRY_SYMBOLS } from './figures';
import { geometry, type CutterGeometry, type HolderGeometry, type HolderSegment } from './geometry';
import { readInsertCode } from './insertCode';
import { FIRST_FACT, type ItemKind } from './kinds';
import { shankForms } from './shanks';
import { isSymbol, SHANK_FORMS, symbolSpec, type FactSymbol } from './symbols';
import { checkCollet } from './tapers';
import { readThread } from './threads';

/** A fact as far as geometry needs it: its number (mm, degrees, count), or null and its words. */
export interface KnownFact {
  symbol: string;
  value: number | null;
  text: string;
}

const number = (facts: readonly KnownFact[], symbol: FactSymbol): number | null =>
  facts.find((f) => f.symbol === symbol)?.value ?? null;
const words = (facts: readonly KnownFact[], symbol: FactSymbol): string | null =>
  facts.find((f) => f.symbol === symbol)?.text ?? null;

/** A cutter's geometry from its facts; a body's teeth are its seats. DC must be among them. */
export function cutterFrom(family: Family, facts: readonly KnownFact[]): CutterGeometry {
  const known = Object.fromEntries(GEOMETRY_SYMBOLS.map((s) => [s, number(facts, s)]));
  return geometry(family, {
    ...known,
    DC: sure(number(facts, 'DC'), 'DC of what cuts'),
    NOF: number(facts, 'NOF') ?? number(facts, 'CICT'),
  });
}

/** A holder's geometry from its facts and outline. LF must be among them. */
export function holderFrom(facts: readonly KnownFact[], segments: HolderSegment[]): HolderGeometry {
  return {
    LF: sure(number(facts, 'LF'), 'LF of a holder'),
    CLAMP_MIN: number(facts, 'CLAMP_MIN'),
    CLAMP_MAX: number(facts, 'CLAMP_MAX'),
    GRIP_MIN: number(facts, 'GRIP_MIN'),
    DEPTH_MAX: number(facts, 'DEPTH_MAX'),
    RPM_MAX: number(facts, 'RPM_MAX'),
    segments,
  };
}

/** A fact that another one says: the thread gives diameter and pitch, an insert's code its size. */
interface FollowingFact {
  symbol: FactSymbol;
  mm: number | null;
  text: string;
  from: FactSymbol;
}

/**
 * Facts that follow from a designation: a tap's DC and TP from its thread, an insert's figures from its ISO 1832 code.
 * Only those not stated. mm. Example: a tap with TDZ 'M6' gets DC 6 and TP 1.
 */
export function factsThatFollow(kind: ItemKind, facts: readonly KnownFact[]): FollowingFact[] {
  const out: FollowingFact[] = [];
  const add = (symbol: FactSymbol, value: number | null, from: FactSymbol) => {
    if (value !== null && !facts.some((f) => f.symbol === symbol))
      out.push({ symbol, mm: value, text: String(Math.round(value * 1e6) / 1e6), from });
  };
  const thread = kind === 'cutter' ? readThread(words(facts, 'TDZ') ?? '') : null;
  if (thread) {
    add('DC', thread.major, 'TDZ');
    add('TP', thread.pitch, 'TDZ');
  }
  const code = kind === 'insert' ? readInsertCode(words(facts, 'ISO1832') ?? '') : null;
  if (code) {
    add('IC', code.inscribed, 'ISO1832');
    add('S', code.thickness, 'ISO1832');
    add('RE', code.radius, 'ISO1832');
    add('CEDC', code.edges, 'ISO1832');
    if (code.hand && !facts.some((f) => f.symbol === 'HAND'))
      out.push({ symbol: 'HAND', mm: null, text: code.hand, from: 'ISO1832' });
  }
  return out;
}

/**
 * Everything about an item that cannot be, by the rules of its kind; empty when it can exist. Facts not known are not
 * judged. mm, degrees. Example: an insert 'CNMG 120408' with RE 1.2 is refused: its code says 0.8.
 */
export function checkItem(
  kind: ItemKind,
  family: Family | null,
  facts: readonly KnownFact[],
  segments: HolderSegment[] = [],
): ItemFault[] {
  const first = FIRST_FACT[kind];
  if (first && number(facts, first) === null)
    return [{ field: first, value: '', limit: 'needed', words: `${symbolSpec(first).words} is needed` }];
  if (kind === 'holder') return [...checkHolder(holderFrom(facts, segments)), ...checkShanks(facts)];
  const faults: ItemFault[] =
    kind === 'cutter' || kind === 'body'
      ? checkCutter(cutterFrom(sure(family, 'the family of what cuts'), facts))
      : [];
  for (const f of facts) {
    const limits = isSymbol(f.symbol) ? symbolSpec(f.symbol).limits : undefined;
    if (!limits || f.value === null || faults.some((x) => x.field === f.symbol)) continue;
    if (f.value < limits[0] || f.value > limits[1])
      faults.push({
        field: f.symbol,
        value: f.value,
        limit: `${limits[0]} to ${limits[1]}`,
        words: 'outside what it can be',
      });
  }
  if (kind === 'collet')
    faults.push(
      ...checkCollet(words(facts, 'COLLET'), number(facts, 'CLAMP_MIN'), number(facts, 'CLAMP_MAX')),
    );
  if (kind === 'extension') faults.push(...checkExtension(facts, segments));
  faults.push(...checkShanks(facts));
  if (kind === 'insert') faults.push(...checkInsert(facts));
  if (family !== null)
    faults.push(
      ...(familySpec(family).factsMustHold?.({
        number: (symbol) => number(facts, symbol),
        words: (symbol) => words(facts, symbol),
      }) ?? []),
    );
  return faults;
}

/** An extension's outline runs from what carries it to its face: it adds up to LPR (within 0.01 mm). */
function checkExtension(facts: readonly KnownFact[], segments: HolderSegment[]): ItemFault[] {
  const LPR = number(facts, 'LPR');
  const sum = segments.reduce((total, s) => total + s.length, 0);
  if (!segments.length || LPR === null || Math.abs(sum - LPR) <= 0.01) return [];
  return [
    {
      field: 'segments',
      value: sum,
      limit: `LPR = ${LPR}`,
      words: 'the outline must reach from what carries it to its face',
    },
  ];
}

function checkShanks(facts: readonly KnownFact[]): ItemFault[] {
  const takes = words(facts, 'SHANKS');
  if (takes === null || shankForms(takes)) return [];
  return [
    {
      field: 'SHANKS',
      value: takes,
      limit: `of ${SHANK_FORMS.join(', ')}; several with commas`,
      words: 'a form of shank that is not known here',
    },
  ];
}

function checkInsert(facts: readonly KnownFact[]): ItemFault[] {
  const faults: ItemFault[] = [];
  const text = words(facts, 'ISO1832');
  const code = text === null ? null : readInsertCode(text);
  const agrees = (symbol: FactSymbol, said: number | null) => {
    const stated = number(facts, symbol);
    if (said !== null && stated !== null && Math.abs(stated - said) > 0.02)
      faults.push({
        field: symbol,
        value: stated,
        limit: `${said} by its code`,
        words: `${symbolSpec(symbol).words} and code differ`,
      });
  };
  if (code) {
    agrees('IC', code.inscribed);
    agrees('S', code.thickness);
    agrees('RE', code.radius);
  }
  const [nominal, usable] = [number(facts, 'CEDC'), number(facts, 'EDGES')];
  if (nominal !== null && usable !== null && usable > nominal)
    faults.push({
      field: 'EDGES',
      value: usable,
      limit: `at most ${nominal}`,
      words: 'more edges to use than the insert has',
    });
  return faults;
}
