/**
 * Gauge length to expect of a build before it is measured: gauge line to holder face plus stickout, mm.
 * Example: LF 108.3, stickout 34 -> 142.3.
 */
export const expectedGaugeLength = (LF: number, stickout: number): number => LF + stickout;
