import { group } from 'd3';
import type { Origin } from '@/core/cutters';
import { DEFAULTS } from '@/core/defaults';
import {
  type AssumedAgainstSeen,
  assumedFromLike,
  assumedFromOthers,
  type AssumedLife,
  assumedWeight,
  isLike,
  livesAtSpeed,
  meanReached,
  type LifeBySpeeds,
  type LifeTime,
  type OtherLives,
  speedGroups,
  usualExponent,
  type Weight,
} from '@/core/life';
import type { ReadAll } from '@/crib/door';
import {
  type AssumedLifeRow,
  type CutterKindRow,
  type LinkRow,
  manyCutterKinds,
  manyFirstAssumedLives,
  manyLinks,
} from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyMaterials, type MaterialRow } from '@/data/shop';
import { type CutterLives, livesOfCutters, livesWithMost } from './cutterLives';
import { keptFor } from './keptFor';

/** Where an assumed life comes from: who stated it, or whose lives it is taken from. */
type AssumedFrom = Origin | 'another speed' | 'like materials' | 'linked cutters' | 'its family';
/** As how many lives an assumed life of each origin counts here, and how many cutters said so. */
export type AssumedWeights = ReadonlyMap<AssumedFrom, Weight>;

/** What the shop knows of lives before a cutter has any. */
export interface KnownHere {
  weights: AssumedWeights;
  /** The cutters and materials with the most lives. */
  best: readonly CutterLives[];
}

/** The cutters and materials with the most lives: asked how right their assumed life was, and what their families last. */
const LINES_ASKED = 40;
/** Names of cutters that are said one by one. */
const NAMED = 3;

/** The one of a material before the one of any. */
export const assumedIn = (own: readonly AssumedLifeRow[], materialId: number): AssumedLifeRow | undefined =>
  own.find((x) => x.materialId === materialId) ?? own.find((x) => x.materialId === null);

/** What is assumed of a cutter in a material from other lives: of one kind, or null. */
type FromOthers = (itemId: number, materialId: number, weight?: Weight) => AssumedLife | null;
/** The kinds, the nearest to the cutter first. */
export type FromOtherLives = readonly (readonly [AssumedFrom, FromOthers])[];

/**
 * What other lives tell of cutters that have none in a material, the nearest first: its own in others of the group, those of
 * cutters it is linked with (a substitute, another version) in this one, those of its family in it.
 */
function otherLives(
  lines: readonly CutterLives[],
  materials: readonly Pick<MaterialRow, 'id' | 'code' | 'isoGroup'>[],
  kinds: readonly CutterKindRow[],
  links: readonly Pick<LinkRow, 'itemId' | 'earlierItemId'>[],
): FromOtherLives {
  const byItem = group(lines, (l) => l.itemId);
  const byMaterial = group(lines, (l) => l.materialId);
  const byId = new Map(materials.map((m) => [m.id, m]));
  const kindOf = new Map(kinds.map((k) => [k.itemId, { ...k, DC: k.dc }]));
  const linked = group(
    links.flatMap(({ itemId: a, earlierItemId: b }) => [
      { of: a, to: b },
      { of: b, to: a },
    ]),
    (l) => l.of,
  );
  /** Lives of other cutters in a material. */
  const ofOthers = (itemId: number, materialId: number, is: (other: number) => boolean): OtherLives[] =>
    (byMaterial.get(materialId) ?? []).flatMap((l) =>
      l.itemId !== itemId && is(l.itemId) ? [{ name: kindOf.get(l.itemId)?.code ?? '', lives: l.times }] : [],
    );
  const inIt = (materialId: number) => byId.get(materialId)?.code ?? 'it';
  return [
    [
      'like materials',
      (itemId, materialId, weight) => {
        const own = byId.get(materialId);
        if (!own) return null;
        const elsewhere = (byItem.get(itemId) ?? []).flatMap((l) => {
          const other = byId.get(l.materialId);
          return other && other.id !== own.id && other.isoGroup === own.isoGroup
            ? [{ material: other.code, lives: l.times }]
            : [];
        });
        return assumedFromLike(own.isoGroup, elsewhere, weight);
      },
    ],
    [
      'linked cutters',
      (itemId, materialId, weight) => {
        const to = new Set((linked.get(itemId) ?? []).map((l) => l.to));
        return assumedFromOthers(
          ofOthers(itemId, materialId, (other) => to.has(other)),
          (names) => `lives of ${names.join(', ')} in ${inIt(materialId)}: a substitute or a version of it`,
          weight,
        );
      },
    ],
    [
      'its family',
      (itemId, materialId, weight = { countsAs: DEFAULTS.familyCountsAs, learntFrom: 0 }) => {
        const own = kindOf.get(itemId);
        if (!own) return null;
        const assumed = assumedFromOthers(
          ofOthers(itemId, materialId, (other) => isLike(own, kindOf.get(other) ?? NO_KIND)),
          (names) =>
            `lives in ${inIt(materialId)} of others of its family and size: ${names.slice(0, NAMED).join(', ')}${
              names.length > NAMED ? ` and ${names.length - NAMED} more` : ''
            }`,
          weight,
        );
        return assumed && { ...assumed, guess: true };
      },
    ],
  ];
}
const NO_KIND = { family: null, substrate: null, DC: null };

/** What other lives tell of some cutters, whose own are read already. */
export async function readOtherLives(
  c: Connection,
  itemIds: readonly number[],
  own: readonly CutterLives[],
  { best }: KnownHere,
  materials: readonly MaterialRow[],
): Promise<{ others: FromOtherLives; substrateOf(itemId: number): string | null }> {
  const links = await manyLinks(c, itemIds);
  const read = new Set(own.map((l) => l.itemId));
  const linkedIds = [...new Set(links.flatMap((l) => [l.itemId, l.earlierItemId]))].filter(
    (id) => !read.has(id),
  );
  const linked = await livesOfCutters(c, linkedIds);
  const known = new Set([...read, ...linkedIds]);
  const lines = [...own, ...linked, ...best.filter((l) => !known.has(l.itemId))];
  const kinds = await manyCutterKinds(c, [...new Set([...itemIds, ...lines.map((l) => l.itemId)])]);
  const substrates = new Map(kinds.map((k) => [k.itemId, k.substrate]));
  return {
    others: otherLives(lines, materials, kinds, links),
    substrateOf: (itemId) => substrates.get(itemId) ?? null,
  };
}

/**
 * How well the assumed lives did in this shop, by where they came from: a maker's figure may be good here and a guess not.
 * Held against is what was assumed at first; one that was restated after the lives had shown it would always be right. What is
 * taken from other lives is held against each cutter as if it had none of its own.
 */
export async function readKnownHere(c: Connection): Promise<KnownHere> {
  const best = await livesWithMost(c, LINES_ASKED);
  const ids = [...new Set(best.map((l) => l.itemId))];
  const first = group(await manyFirstAssumedLives(c, ids), (a) => a.itemId);
  const kinds = await manyCutterKinds(c, ids);
  const others = otherLives(best, await manyMaterials(c), kinds, await manyLinks(c, ids));
  const substrates = new Map(kinds.map((k) => [k.itemId, k.substrate]));
  const told = new Map<AssumedFrom, AssumedAgainstSeen[]>();
  for (const line of best) {
    const assumed = assumedIn(first.get(line.itemId) ?? [], line.materialId);
    const seen = seenOf(line.times);
    if (!seen) continue;
    const tell = (from: AssumedFrom, minutes: number, came = seen) =>
      told.set(from, [...(told.get(from) ?? []), { assumed: minutes, ...came }]);
    for (const { minutes, came } of takenToSpeeds(line.bySpeeds, substrates.get(line.itemId) ?? null))
      tell('another speed', minutes, came);
    if (assumed) tell(assumed.origin, assumed.minutes);
    for (const [from, of] of others) {
      const taken = of(line.itemId, line.materialId);
      if (taken) tell(from, taken.minutes);
    }
  }
  return {
    best,
    weights: new Map(
      [...told].map(([from, history]) => [
        from,
        assumedWeight(history, from === 'its family' ? DEFAULTS.familyCountsAs : undefined),
      ]),
    ),
  };
}

/** What lives came to, where enough of them failed to say so. */
const seenOf = keptFor((lives: readonly LifeTime[]): { seen: number; failures: number } | null => {
  const failures = lives.filter((l) => l.failed).length;
  const mean = failures < DEFAULTS.failuresForSpread ? null : meanReached(lives);
  return mean && { seen: mean.minutes, failures };
});

/** What the lives of each speed were, and what those of the others would have said of it. */
const takenToSpeeds = keptFor((all: readonly LifeBySpeeds[], substrate: string | null) => {
  const usual = usualExponent(substrate);
  const lives = all.flatMap(({ speed, life }) => (speed === null ? [] : [{ speed, life, parts: null }]));
  const groups = usual ? speedGroups(lives) : [];
  if (!usual || groups.length < 2) return [];
  return groups.flatMap((group) => {
    const came = seenOf(group.map((l) => l.life));
    const at = group[Math.floor(group.length / 2)]?.speed ?? 0;
    const others = lives.filter((l) => !group.includes(l));
    const taken = came && livesAtSpeed(others, at, usual, String).taken;
    return came && taken ? [{ minutes: taken.minutes, came }] : [];
  });
});

/** The same, read once with the views that ask for it. */
export const knownHere: ReadAll<KnownHere> = (c) => readKnownHere(c);
