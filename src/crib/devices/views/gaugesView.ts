import type { Judgement } from '@/core/because';
import { GAUGE_KINDS, judgeCalibration } from '@/core/devices';
import { localDay } from '@/core/units';
import type { Connection } from '@/data/database';
import {
  type CalibrationRow,
  type DoubtedRow,
  type GaugeRow,
  manyCalibrated,
  manyDevices,
  manyDoubted,
  manyGauges,
} from '@/data/devices';

/** Something with a certificate: how it stands, and what it put in doubt. */
export interface GaugeLine extends Pick<GaugeRow, 'code' | 'name' | 'sizeMm' | 'sizeEntered'> {
  /** A device has a check at its master besides. */
  kind: GaugeRow['kind'] | 'device';
  /** What one that is off puts in doubt, in words. */
  doubts: string;
  calibrated: Pick<CalibrationRow, 'at' | 'due' | 'ok' | 'found' | 'who' | 'entryId'> | null;
  judgement: Judgement;
  /** Where it was found off: what was not done again since. */
  doubted: DoubtedRow[];
}

/** All that has a certificate, what is due first. */
export async function gaugesView(c: Connection, today: string, zone: string): Promise<GaugeLine[]> {
  const gauges = await manyGauges(c);
  const devices = await manyDevices(c);
  const calibrated = new Map(
    [
      ...(await manyCalibrated(
        c,
        'gauge',
        gauges.map((g) => g.id),
      )),
      ...(await manyCalibrated(
        c,
        'device',
        devices.map((d) => d.id),
      )),
    ].map((k) => [k.gaugeId === null ? `d${k.deviceId}` : `g${k.gaugeId}`, k]),
  );
  const line = async (
    thing: Pick<GaugeLine, 'code' | 'name' | 'kind' | 'sizeMm' | 'sizeEntered' | 'doubts'>,
    last: CalibrationRow | null,
  ): Promise<GaugeLine> => ({
    ...thing,
    calibrated: last && {
      ...{ at: last.at, due: last.due, ok: last.ok, found: last.found },
      ...{ who: last.who, entryId: last.entryId },
    },
    judgement: judgeCalibration(
      last && { day: localDay(last.at, zone), due: last.due, ok: last.ok, found: last.found },
      today,
    ),
    doubted: last && !last.ok ? await manyDoubted(c, last.entryId) : [],
  });
  const lines: GaugeLine[] = [];
  for (const { id, code, name } of devices)
    lines.push(
      await line(
        {
          ...{ code, name, kind: 'device', sizeMm: null, sizeEntered: null },
          doubts: 'what was measured with it since',
        },
        calibrated.get(`d${id}`) ?? null,
      ),
    );
  for (const { id, code, name, kind, sizeMm, sizeEntered } of gauges)
    lines.push(
      await line(
        { code, name, kind, sizeMm, sizeEntered, doubts: GAUGE_KINDS[kind].doubts },
        calibrated.get(`g${id}`) ?? null,
      ),
    );
  const urgency = ({ calibrated: k }: GaugeLine) => (k === null ? '0000' : k.ok ? k.due : '');
  return lines.toSorted((a, b) => urgency(a).localeCompare(urgency(b)) || a.code.localeCompare(b.code));
}
