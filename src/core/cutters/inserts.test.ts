import { readInsertCode } from './index';

/**
 * Designations of every shape as they stand in catalogues, by ISO 1832 and ANSI B212.4 (both from memory): inscribed
 * circle, thickness, corner radius, edges; null where the code does not say it.
 */
type Row = [
  code: string,
  ic: number | null,
  thickness: number | null,
  radius: number | null,
  edges: number | null,
];
const METRIC: Row[] = [
  ['CNMG 120404', 12.7, 4.76, 0.4, 4],
  ['CNMG 120408', 12.7, 4.76, 0.8, 4],
  ['CNMG 090304', 9.525, 3.18, 0.4, 4],
  ['CNMG 160612', 15.875, 6.35, 1.2, 4],
  ['CNMG 190616', 19.05, 6.35, 1.6, 4],
  ['CNMM 190624', 19.05, 6.35, 2.4, 2],
  ['CNMA 120408', 12.7, 4.76, 0.8, 4],
  ['CCMT 060202', 6.35, 2.38, 0.2, 2],
  ['CCMT 060204', 6.35, 2.38, 0.4, 2],
  ['CCMT 09T304', 9.525, 3.97, 0.4, 2],
  ['CCGT 09T302', 9.525, 3.97, 0.2, 2],
  ['CCMT 120408', 12.7, 4.76, 0.8, 2],
  ['CPMT 080204', 7.94, 2.38, 0.4, 2],
  ['DNMG 110408', 9.525, 4.76, 0.8, 4],
  ['DNMG 150404', 12.7, 4.76, 0.4, 4],
  ['DNMG 150608', 12.7, 6.35, 0.8, 4],
  ['DCMT 070204', 6.35, 2.38, 0.4, 2],
  ['DCMT 11T304', 9.525, 3.97, 0.4, 2],
  ['DCGT 11T302', 9.525, 3.97, 0.2, 2],
  ['ECMT 050204', 5.56, 2.38, 0.4, 2],
  ['SNMG 090308', 9.525, 3.18, 0.8, 8],
  ['SNMG 120408', 12.7, 4.76, 0.8, 8],
  ['SNMM 190616', 19.05, 6.35, 1.6, 4],
  ['SNMA 120412', 12.7, 4.76, 1.2, 8],
  ['SCMT 09T308', 9.525, 3.97, 0.8, 4],
  ['SPMR 120308', 12.7, 3.18, 0.8, 4],
  ['SPUN 120308', 12.7, 3.18, 0.8, 4],
  ['SNUN 120412', 12.7, 4.76, 1.2, 8],
  ['SPGW 060204', 6.35, 2.38, 0.4, 4],
  ['SEKN 1203AFTN', 12.7, 3.18, null, 4],
  ['SEKR 1504AFN', 15.875, 4.76, null, 4],
  ['SPKN 1203EDTR', 12.7, 3.18, null, 4],
  ['SDMT 1205ZZSN', 12.7, 5.56, null, 4],
  ['TNMG 110304', 6.35, 3.18, 0.4, 6],
  ['TNMG 160408', 9.525, 4.76, 0.8, 6],
  ['TNMG 220408', 12.7, 4.76, 0.8, 6],
  ['TNMG 270612', 15.875, 6.35, 1.2, 6],
  ['TNMG 330924', 19.05, 9.52, 2.4, 6],
  ['TNMA 160408', 9.525, 4.76, 0.8, 6],
  ['TCMT 090204', 5.56, 2.38, 0.4, 3],
  ['TCMT 110204', 6.35, 2.38, 0.4, 3],
  ['TCMT 16T308', 9.525, 3.97, 0.8, 3],
  ['TPUN 160308', 9.525, 3.18, 0.8, 3],
  ['TPMR 110304', 6.35, 3.18, 0.4, 3],
  ['TPKN 2204PDR', 12.7, 4.76, null, 3],
  ['TNUN 160412', 9.525, 4.76, 1.2, 6],
  ['VNMG 160404', 9.525, 4.76, 0.4, 4],
  ['VBMT 110304', 6.35, 3.18, 0.4, 2],
  ['VBMT 160408', 9.525, 4.76, 0.8, 2],
  ['VCGT 160402', 9.525, 4.76, 0.2, 2],
  ['VCMT 220530', 12.7, 5.56, 3, 2],
  ['WNMG 060408', 9.525, 4.76, 0.8, 6],
  ['WNMG 080404', 12.7, 4.76, 0.4, 6],
  ['WNMG 080412', 12.7, 4.76, 1.2, 6],
  ['WNMG 100612', 15.875, 6.35, 1.2, 6],
  ['WCMT 040208', 6.35, 2.38, 0.8, 3],
  ['WCMX 06T308', 9.525, 3.97, 0.8, 3],
  ['WCMT L30208', 4.76, 2.38, 0.8, 3],
  ['RCMT 0803M0', 8, 3.18, 4, null],
  ['RCMT 10T3MO', 10, 3.97, 5, null],
  ['RCMX 1606M0', 16, 6.35, 8, null],
  ['RNMG 120400', 12.7, 4.76, 6.35, null],
  ['RPMT 1204M0', 12, 4.76, 6, null],
  ['RDHX 0702M0', null, 2.38, null, null],
  ['APKT 1003PDER', null, 3.18, null, 2],
  ['APKT 1604PDER', null, 4.76, null, 2],
  ['ADMT 160608', null, 6.35, 0.8, 2],
  ['KNUX 160405', null, 4.76, 0.5, null],
  ['LNMX 191940', null, null, 4, null],
  ['LPKX 1504PDR', null, 4.76, null, 2],
  ['HNMG 090512', 15.875, 5.56, 1.2, 12],
  ['HNGX 0905ANSN', 15.875, 5.56, null, null],
  ['OFMT 050405', 12.7, 4.76, 0.5, 8],
  ['ONMU 060508', 15.875, 5.56, 0.8, 16],
  ['PNMG 110408', 15.875, 4.76, 0.8, 10],
  ['CNMG 120400', 12.7, 4.76, 0, 4],
  ['MNMG 120408', 12.7, 4.76, 0.8, 4],
  // Special forms: what is not known is not said, and no error.
  ['XNMU 060508', null, 5.56, 0.8, null],
  ['COMX 120408', 12.7, 4.76, 0.8, null],
];
const INCH: Row[] = [
  ['CNMG 432', 12.7, 4.76, 0.8, 4],
  ['CNMG 431', 12.7, 4.76, 0.4, 4],
  ['CNMG 643', 19.05, 6.35, 1.2, 4],
  ['CCMT 21.51', 6.35, 2.38, 0.4, 2],
  ['CCMT 32.51', 9.525, 3.97, 0.4, 2],
  ['DNMG 442', 12.7, 6.35, 0.8, 4],
  ['DCMT 32.51', 9.525, 3.97, 0.4, 2],
  ['SNMG 433', 12.7, 4.76, 1.2, 8],
  ['TNMG 332', 9.525, 4.76, 0.8, 6],
  ['TNMG 432', 12.7, 4.76, 0.8, 6],
  ['VNMG 331', 9.525, 4.76, 0.4, 4],
  ['WNMG 432', 12.7, 4.76, 0.8, 6],
  ['TPG 321', 9.525, 3.18, 0.4, 3],
  ['SPG 422', 12.7, 3.18, 0.8, 4],
];
it('has five dozen and more', () => expect(METRIC.length + INCH.length).toBeGreaterThanOrEqual(60));
it.each([...METRIC, ...INCH])(
  '%s: circle %d, thickness %d, radius %d, %d edges',
  (code, ic, thickness, radius, edges) => {
    const read = readInsertCode(code)!;
    expect([read.inscribed, read.thickness, read.radius, read.edges]).toEqual([ic, thickness, radius, edges]);
  },
);
it('metric and inch designations of one insert say the same', () => {
  for (const [metric, inch] of [
    ['CNMG 120408', 'CNMG 432'],
    ['TNMG 160408', 'TNMG 332'],
    ['DCMT 11T304', 'DCMT 32.51'],
  ] as const) {
    const [a, b] = [readInsertCode(metric)!, readInsertCode(inch)!];
    expect([a.shape, a.inscribed, a.thickness, a.radius, a.edges]).toEqual([
      b.shape,
      b.inscribed,
      b.thickness,
      b.radius,
      b.edges,
    ]);
    expect([a.system, b.system]).toEqual(['ISO 1832', 'ANSI B212.4']);
  }
});
it.each(['', 'EM10', 'CNMG', 'our own 12', 'R300-0828'])(
  '%j is a code of its own: nothing is read of it',
  (code) => expect(readInsertCode(code)).toBeNull(),
);
