import { GAUGE_KINDS, type GaugeKind, namedGauge } from '@/core/devices';
import { found, type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { type GaugeRow, manyCalibrated, maybeGauge } from '@/data/devices';

/**
 * A gauge that something is checked, tightened or measured with: of the kind that does it, and not one that was found off and
 * not set right since. One that is only due again is used; what it says is asked about beside it.
 */
export async function usableGauge(
  c: Connection,
  moment: Moment,
  name: string,
  code: string,
  kinds: readonly GaugeKind[],
): Promise<GaugeRow> {
  const wanted = kinds.map((k) => GAUGE_KINDS[k].words).join(' or ');
  const gauge = found(await maybeGauge(c, code), name, code, wanted);
  if (!kinds.includes(gauge.kind))
    throw new Problem('REFUSED', `${gauge.code} is ${namedGauge(gauge.kind)}`, {
      field: name,
      value: gauge.code,
      limit: wanted,
      wayOut: `Name the ${wanted} that was used.`,
    });
  const [last] = await manyCalibrated(c, 'gauge', [gauge.id]);
  if (last && !last.ok)
    throw new Problem(
      'REFUSED',
      `${gauge.code} was found off on ${moment.day(last.at)}: nothing is done with it`,
      {
        field: name,
        value: gauge.code,
        limit: 'one that was found good since',
        wayOut: 'Use another; or record its calibration, once it was set right.',
      },
    );
  moment.leansOn(gauge.entryId);
  return gauge;
}
