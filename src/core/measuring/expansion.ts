import type { Because } from '../because';

/**
 * Growth of a mm by one kelvin, by what a length is made of. Steel 11.5e-6, carbide 5.5e-6, high-speed steel 11e-6 (handbook
 * values, from memory; ISO 1 sets 20 °C as the temperature that lengths are stated at).
 */
const GROWTH = { steel: 11.5e-6, carbide: 5.5e-6, HSS: 11e-6 } as const;

const SUBSTRATE: Readonly<Record<string, readonly [words: string, growth: number]>> = {
  carbide: ['carbide', GROWTH.carbide],
  HSS: ['high-speed steel', GROWTH.HSS],
  'cobalt HSS': ['high-speed steel', GROWTH.HSS],
};

/** What a length at one temperature is at 20 °C. */
export interface At20 {
  length: number;
  /** Less than as it was read, mm; more than nothing where it is warmer than 20. */
  grown: number;
  because: Because;
}

/**
 * A gauge length that was read at another temperature, brought to 20 °C, mm: the holder is steel, what stands out of it is of
 * the cutter's substrate, each over its own length; a body, or what nobody stated, counts as steel. Meant for a tool that is warmer than what measured it; where the presetter
 * is as warm and of steel, its scale grew as well and most of this is in the reading already.
 * Example: 142.316 with 34 of carbide at 30 °C: grew by 0.014, 142.302 at 20.
 */
export function at20(L: number, stickout: number, substrate: string | null, temperature: number): At20 {
  const out = Math.min(Math.max(stickout, 0), L);
  const [name, of] = SUBSTRATE[substrate ?? ''] ?? (['steel', GROWTH.steel] as const);
  const isKnown = substrate !== null && substrate in SUBSTRATE;
  const kelvin = temperature - 20;
  const grown = ((L - out) * GROWTH.steel + out * of) * kelvin;
  return {
    length: L - grown,
    grown,
    because: {
      words: `Steel grows by 11.5 and ${name} by ${(of * 1e6).toFixed(1)} thousandths of a mm a metre and kelvin. Where the presetter is as warm, its scale grew too: then leave it out.`,
      formula: 'at 20 °C = read − (holder × 11.5e-6 + stickout × its own) × (t − 20)',
      values: [
        { name: 'read', value: `${L.toFixed(4)} mm` },
        { name: 'holder and parts', value: `${(L - out).toFixed(1)} mm of steel` },
        { name: 'stickout', value: `${out.toFixed(1)} mm of ${name}${isKnown ? '' : ', taken for it'}` },
        { name: 't', value: `${temperature} °C` },
      ],
    },
  };
}
