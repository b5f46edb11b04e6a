import { XMLBuilder } from 'fast-xml-parser';
import type { AssemblyCard } from '@/crib/rack';

/** A measured tool as an asset of the MTConnect standard needs it. */
export interface ToolAsset {
  card: AssemblyCard;
  /** Its T on the machine. */
  t: number;
  /** Where it is loaded there; null: it is in no pocket. */
  pocket: number | null;
  /** Why it must not run there; null: nothing stops it. */
  stop: string | null;
  /** The build sheet it was built from; null: from none. */
  builtFrom: { code: string; version: number } | null;
}

/** A build sheet as the archetype of what is built from it. */
export interface ToolArchetype {
  code: string;
  version: number;
  name: string;
  cutter: string;
  holder: string;
  expectedMm: number;
}
const archetypeId = (of: { code: string; version: number }): string => `${of.code}/${of.version}`;

/** What is known of a tool's state, of the standard's own list. */
function statuses({ measured, life, wear }: AssemblyCard, stop: string | null): string[] {
  // What is worn is said to be; whatever else stops it, it is none to run.
  if (measured.state === 'in question' || (stop !== null && wear.worn !== true)) return ['UNAVAILABLE'];
  return [
    ...(measured.state === 'measured' ? ['MEASURED'] : []),
    ...(wear.worn === true || (life.leftMinutes !== null && life.leftMinutes <= 0) ? ['EXPIRED'] : []),
    life.minutes > 0 || !life.fresh ? 'USED' : 'NEW',
  ];
}

/**
 * Tools of a machine as MTConnect assets (MTConnect Standard Part 4, CuttingTool, schema 1.8; element names and the list of
 * statuses from memory): lengths in mm with their ISO 13399 codes; life as minutes counted up against its expectation, as flank wear
 * against its limit, and as the parts it is still good for; the pocket it is in. A build sheet is the archetype of what is built
 * from it. What is not known is left out, and so is a length that is in question.
 */
export function asMtconnect(
  machine: string,
  tools: readonly ToolAsset[],
  archetypes: readonly ToolArchetype[],
  made: Date,
): string {
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
        '@assetBufferSize': String(tools.length + archetypes.length),
        '@assetCount': String(tools.length + archetypes.length),
        '@deviceModelChangeTime': at,
      },
      Assets: {
        ...(archetypes.length ? { CuttingToolArchetype: archetypes.map((a) => archetype(a, at)) } : {}),
        CuttingTool: tools.map((tool) => cuttingTool(machine, tool)),
      },
    },
  });
}

const measure = (code: string, value: number | null, nominal: number | null) => ({
  '@code': code,
  '@units': 'MILLIMETER',
  ...(nominal === null ? {} : { '@nominal': nominal.toFixed(4) }),
  ...(value === null ? {} : { '#': value.toFixed(4) }),
});

const archetype = (sheet: ToolArchetype, at: string) => ({
  '@assetId': archetypeId(sheet),
  '@toolId': sheet.code,
  '@timestamp': at,
  Description: { '#': `${sheet.name}: ${sheet.cutter}, in ${sheet.holder}` },
  CuttingToolLifeCycle: { Measurements: { FunctionalLength: measure('LF', null, sheet.expectedMm) } },
});

/** Life by what it is counted in; each only where it is known. */
function lives(machine: string, { life, wear, ties }: AssemblyCard) {
  const expected =
    life.because && life.leftMinutes !== null && life.used !== null && life.used < 1
      ? life.leftMinutes / (1 - life.used)
      : null;
  const parts = ties.filter((x) => x.machine === machine).flatMap((x) => x.use.goodFor ?? []);
  const left = parts.length ? Math.floor(Math.min(...parts)) : null;
  return [
    {
      ...{ '@type': 'MINUTES', '@countDirection': 'UP' },
      ...(expected === null ? {} : { '@limit': expected.toFixed(1) }),
      '#': life.minutes.toFixed(1),
    },
    ...(left === null ? [] : [{ '@type': 'PART_COUNT', '@countDirection': 'DOWN', '#': String(left) }]),
    ...(wear.flankMm === null
      ? []
      : [
          {
            ...{ '@type': 'WEAR', '@countDirection': 'UP', '@limit': wear.limit.value.toFixed(3) },
            '#': wear.flankMm.toFixed(3),
          },
        ]),
  ];
}

function cuttingTool(machine: string, { card, t, pocket, stop, builtFrom }: ToolAsset) {
  const m = card.measured.state === 'measured' ? card.measured.measurement : null;
  return {
    '@assetId': card.tag,
    '@serialNumber': card.mark,
    '@toolId': card.cutter.code,
    '@timestamp': (m?.happenedAt ?? card.builtAt).toISOString(),
    '@deviceUuid': machine,
    Description: { '#': `${card.cutter.words}, in ${card.holder.words}` },
    ...(builtFrom === null ? {} : { CuttingToolArchetypeReference: { '#': archetypeId(builtFrom) } }),
    CuttingToolLifeCycle: {
      CutterStatus: { Status: statuses(card, stop) },
      ToolLife: lives(machine, card),
      ProgramToolNumber: { '#': String(t) },
      ...(pocket === null ? {} : { Location: { '@type': 'POT', '#': String(pocket) } }),
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
