import type { Because } from '../../because';
import type { Side } from '../compare/trial';

/** One way to make a cut: what its edges cost and last, and how long it takes a part. Money in any currency, the same for both. */
export interface Way {
  /** A fresh edge set. */
  edge: number;
  /** Minutes in the cut that it lasts in the mean. */
  lifeMinutes: number;
  /** Minutes in the cut of a part. */
  partMinutes: number;
  /** Minutes the machine stands for a change of edges. */
  changeMinutes: number;
  /** What is bought once, such as the body for inserts; 0: nothing. */
  once: number;
}

/** What a part costs by one way, beside what is bought once. */
export interface PartCost {
  edges: number;
  changes: number;
  machine: number;
  all: number;
  /** The same for a litre of chips; null: how much a part is was not said. */
  litre: number | null;
  /** Parts that an edge set makes in the mean. */
  partsAnEdge: number;
}

/** Which of two ways pays. */
export interface WhichPays {
  first: PartCost;
  second: PartCost;
  /** Pays however many are made; null: neither does. */
  always: Side | null;
  /** Pays from so many parts on, the other below; null: one pays always, or they cost alike. */
  from: { side: Side; parts: number } | null;
  because: Because;
}

/**
 * What a part costs: its share of the edges, of the minutes they are changed in, and the minutes of the machine.
 * Source: unit cost of machining, C = Co tm + (tm / T) (Co tc + Ct), as Groover, Fundamentals of Modern Manufacturing, has it
 * (from memory). `minute`: what the machine costs a minute; `partCm3`: chips of a part.
 * Throws RangeError where a life, a part's minutes or its chips are not over 0, or a cost is under 0.
 * Example: edges at 12 that last 30 min, 3 min a part, 2 min a change, 1 a minute: 1.20 + 0.20 + 3.00 = 4.40.
 */
export function costOfWay(way: Way, minute: number, partCm3: number | null = null): PartCost {
  for (const [name, value] of [
    ['life', way.lifeMinutes],
    ['minutes of a part', way.partMinutes],
    ...(partCm3 === null ? [] : ([['chips of a part', partCm3]] as const)),
  ] as const)
    if (!(value > 0 && Number.isFinite(value))) throw new RangeError(`${name} is ${value}: over 0 is needed`);
  for (const value of [way.edge, way.changeMinutes, way.once, minute])
    if (!(value >= 0 && Number.isFinite(value)))
      throw new RangeError(`a cost or a time of ${value}: 0 or more is needed`);
  const share = way.partMinutes / way.lifeMinutes;
  const edges = share * way.edge;
  const changes = share * way.changeMinutes * minute;
  const machine = way.partMinutes * minute;
  const all = edges + changes + machine;
  return {
    ...{ edges, changes, machine, all, partsAnEdge: 1 / share },
    litre: partCm3 === null ? null : (all / partCm3) * 1000,
  };
}

/** Costs that differ by less than this part of themselves are alike. */
const ALIKE = 1e-12;

/**
 * Which of two ways to make the same cut pays, and from how many parts on: the body for inserts is bought once and its edges
 * are cheap, an end mill costs nothing before and more each time. Plain arithmetic: once + cost of a part × parts.
 * Throws RangeError as costOfWay. Example: a body at 180 that saves 0.45 a part pays from 400 parts on.
 */
export function whichPays(first: Way, second: Way, minute: number, partCm3: number | null = null): WhichPays {
  const [a, b] = [costOfWay(first, minute, partCm3), costOfWay(second, minute, partCm3)];
  const saves = b.all - a.all;
  const more = first.once - second.once;
  const alike = (x: number, of: number) => Math.abs(x) <= ALIKE * of;
  const [sameParts, sameOnce] = [alike(saves, a.all + b.all), alike(more, first.once + second.once)];
  // Whole parts: at the very number they cost alike, and from it on the one pays.
  const parts = sameParts ? Infinity : Math.ceil(more / saves - 1e-9);
  const always: Side | null =
    sameParts && sameOnce
      ? null
      : (sameParts || saves > 0) && (sameOnce || more < 0)
        ? 'first'
        : (sameParts || saves < 0) && (sameOnce || more > 0)
          ? 'second'
          : null;
  return {
    ...{ first: a, second: b, always },
    from:
      always === null && Number.isFinite(parts) && !(sameParts && sameOnce)
        ? { side: saves > 0 ? 'first' : 'second', parts }
        : null,
    because: {
      words:
        'In the mean: an edge that fails in the cut costs the part on top, and no share of edges that are changed early is in it.',
      formula: 'parts from which it pays = what is bought once more / what a part costs less',
      values: [
        { name: 'a part costs', value: `${a.all.toFixed(2)} and ${b.all.toFixed(2)}` },
        { name: 'bought once', value: `${first.once.toFixed(2)} and ${second.once.toFixed(2)}` },
      ],
    },
  };
}
