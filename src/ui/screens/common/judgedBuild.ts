import {
  besideWall,
  assemblyOutline,
  type Build,
  buildFigures,
  expectedGaugeLength,
  holdsAs,
  judgeBuild,
  stickoutRange,
  type Wall,
} from '@/core/assemblies';
import { asksOf, judgeFit } from '@/core/jobs';
import type { JobView } from '@/crib/jobs';
import type { TakeSource } from '@/crib/stock';

/** What is chosen so far, each with how far an extension was set out, mm. */
export interface Chosen {
  cutter: TakeSource | null;
  holder: TakeSource | null;
  parts: readonly { source: TakeSource; setOut: number | null }[];
}

/** Cutter, holder and parts as the core knows them; null until both ends are there. */
function buildOf({ cutter, holder, parts }: Chosen, stickout: number) {
  if (!cutter?.cutter || !cutter.details.cutter || !holder?.holder || !holder.details.holder) return null;
  return {
    cutter: cutter.cutter,
    holder: holder.holder,
    stickout,
    shank: { form: cutter.shank, takes: holder.shank },
    parts: parts.flatMap(({ source, setOut }) => (source.part ? [{ ...source.part, setOut }] : [])),
    details: { cutter: cutter.details.cutter, holder: holder.details.holder },
  } satisfies Build;
}

/** Everything that is said of a build that is only chosen yet; null until cutter and holder are. */
export function judgedBuild(
  chosen: Chosen,
  /** mm; null: none is typed, and what is drawn stands as far out as it should. */
  typed: number | null,
  around: { wall: Wall | null; force: number; job: JobView | null; t: string | null },
) {
  const { cutter, holder, parts } = chosen;
  const blank = buildOf(chosen, 1);
  if (!blank || !cutter?.cutter) return null;
  const range = stickoutRange(blank);
  const { OAL, DC } = blank.cutter;
  const longest = Math.max(
    typed ?? 0,
    range.most ?? 0,
    Math.min(OAL ?? 8 * DC, (range.most ?? 6 * DC) * 1.25),
  );
  const shown = typed ?? Math.min(longest, range.least ?? 3 * DC);
  const build = { ...blank, stickout: shown };
  const held = holdsAs(build.holder, build.parts, build.details.holder);
  const outline = assemblyOutline(build.cutter, held.holder, shown);
  const wanted = around.job?.tools.find((x) => String(x.t) === around.t);
  const beside = around.wall && besideWall(build, around.wall);
  return {
    build,
    range,
    longest,
    shown,
    outline: { ...outline, assumed: [...held.assumed, ...outline.assumed] },
    expected: expectedGaugeLength(held.holder.LF, shown),
    figures: buildFigures(build, around.force),
    beside,
    judgements:
      typed === null
        ? null
        : [
            ...judgeBuild(build),
            // For a T: what its program asks, before anybody tightens a nut.
            ...(around.job && wanted
              ? judgeFit(
                  { asks: asksOf(wanted.tool), here: wanted.here, machine: around.job.machine },
                  {
                    name: 'this build',
                    cutter: build.cutter,
                    body: cutter.body,
                    stickout: shown,
                    holder: { taper: holder?.taper ?? null, rpmMax: build.holder.RPM_MAX },
                    extensions: parts.flatMap(({ source }) =>
                      source.part?.kind === 'extension'
                        ? [{ code: source.item, rpmMax: source.part.RPM_MAX }]
                        : [],
                    ),
                  },
                )
              : []),
          ],
    /** The next part is asked for: what carries takes a collet, and none is in it yet. */
    asksCollet: held.carrier.asksCollet,
  };
}
