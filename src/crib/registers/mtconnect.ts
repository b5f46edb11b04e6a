import { XMLBuilder } from 'fast-xml-parser';
import type { AssemblyCard } from '@/crib/rack';

/** A measured tool as an asset of the MTConnect standard needs it. */
export interface ToolAsset {
  card: AssemblyCard;
  /** Its T on the machine. */
  t: number;
}

/** What is known of a tool's state, of the standard's own list. */
function statuses({ measured, life, wear }: AssemblyCard): string[] {
  if (measured.state === 'in question') return ['UNAVAILABLE'];
  return [
    ...(measured.state === 'measured' ? ['MEASURED'] : []),
    ...(wear.worn === true || (life.leftMinutes !== null && life.leftMinutes <= 0) ? ['EXPIRED'] : []),
    life.minutes > 0 || !life.fresh ? 'USED' : 'NEW',
  ];
}

/**
 * Tools of a machine as MTConnect assets (MTConnect Standard Part 4, CuttingTool, schema 1.8; element names and the list of
 * statuses from memory): lengths in mm with their ISO 13399 codes, life as minutes counted up against its expectation.
 * What is not known is left out, and so is a length that is in question.
 */
export function asMtconnect(machine: string, tools: readonly ToolAsset[], made: Date): string {
  const builder = new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    textNodeName: '#',
    format: true,
    suppressEmptyNode: true,
  });
  const at = made.toISOString();
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    MTConnectAssets: {
      '@xmlns': 'urn:mtconnect.org:MTConnectAssets:1.8',
      Header: {
        '@creationTime': at,
        '@sender': 'stable',
        '@instanceId': '1',
        '@version': '1.8',
        '@assetBufferSize': String(tools.length),
        '@assetCount': String(tools.length),
        '@deviceModelChangeTime': at,
      },
      Assets: { CuttingTool: tools.map((tool) => cuttingTool(machine, tool)) },
    },
  });
}

function cuttingTool(machine: string, { card, t }: ToolAsset) {
  const m = card.measured.state === 'measured' ? card.measured.measurement : null;
  const life = card.life.because ? card.life : null;
  const expected =
    life && life.leftMinutes !== null && life.used !== null && life.used < 1
      ? life.leftMinutes / (1 - life.used)
      : null;
  const measure = (code: string, value: number, nominal: number | null) => ({
    '@code': code,
    '@units': 'MILLIMETER',
    ...(nominal === null ? {} : { '@nominal': nominal.toFixed(4) }),
    '#': value.toFixed(4),
  });
  return {
    '@assetId': card.tag,
    '@serialNumber': card.mark,
    '@toolId': card.cutter.code,
    '@timestamp': (m?.happenedAt ?? card.builtAt).toISOString(),
    '@deviceUuid': machine,
    Description: { '#': `${card.cutter.words}, in ${card.holder.words}` },
    CuttingToolLifeCycle: {
      CutterStatus: { Status: statuses(card) },
      ToolLife: {
        '@type': 'MINUTES',
        '@countDirection': 'UP',
        ...(expected === null ? {} : { '@limit': expected.toFixed(1) }),
        '#': card.life.minutes.toFixed(1),
      },
      ProgramToolNumber: { '#': String(t) },
      ...(card.holder.taper === null ? {} : { ConnectionCodeMachineSide: { '#': card.holder.taper } }),
      ...(m === null
        ? {}
        : {
            Measurements: {
              FunctionalLength: measure('LF', m.gaugeLengthMm, card.expectedMm),
              ...(m.diameterMm === null
                ? {}
                : { CuttingDiameterMax: measure('DC', m.diameterMm, card.cutter.DC) }),
            },
          }),
    },
  };
}
