/** How a machine's controller understands a length register. */
export const LENGTH_SCHOOLS = {
  gauge: 'gauge length',
  datum: 'down to the datum surface',
  'common-stand': 'down to the datum surface, one stand for many machines',
  master: 'against a master tool',
  'touched-off': 'touched off on the part',
} as const;
export type LengthSchool = keyof typeof LENGTH_SCHOOLS;

/** How it understands a diameter register. */
export const DIAMETER_SCHOOLS = {
  diameter: 'diameter',
  radius: 'radius',
  'wear-diameter': 'true minus programmed diameter',
  'wear-radius': 'true minus programmed radius',
} as const;
export type DiameterSchool = keyof typeof DIAMETER_SCHOOLS;

/** A machine's figures for its registers, mm. K: gauge line to the datum surface with Z at home, > 0; null: not measured. */
export interface MachineLengths {
  school: LengthSchool;
  K: number | null;
  /** The stand's constant (common-stand only). */
  K0: number | null;
  /** Gauge length of the master tool (master only). */
  Lm: number | null;
}

/** A register, or what is needed before there is one: never a made-up 0. */
export type Register = { value: number } | { needs: string };
