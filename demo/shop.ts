import type { Family, Origin } from '../src/core/cutters';

/** The invented pump-and-valve workshop: what it owns. Names, makers, suppliers and prices are made up. */

export const PEOPLE = [
  ['IK', 'Ida Kvist', 'owner'],
  ['TO', 'Tor Olander', 'operator'],
  ['MS', 'Mira Sand', 'planner'],
  ['JB', 'Jon Brekke', 'crib'],
  ['VH', 'Vera Holm', 'viewer'],
] as const;

export const PLACES = [
  { code: 'CAB1', name: 'Cabinet 1', kind: 'shelf' },
  { code: 'CAB1-A', name: 'Drawer A, end mills', kind: 'drawer', parent: 'CAB1' },
  { code: 'CAB1-B', name: 'Drawer B, drills and reamers', kind: 'drawer', parent: 'CAB1' },
  { code: 'HOLD', name: 'Holder wall', kind: 'shelf' },
  { code: 'USED', name: 'Returned, to grade', kind: 'drawer' },
] as const;

export const MATERIALS = [
  { code: 'C45', name: 'Carbon steel C45', isoGroup: 'P' },
  { code: '1.4404', name: 'Stainless steel 1.4404', isoGroup: 'M' },
  { code: 'AlMgSi', name: 'Wrought aluminium', isoGroup: 'N' },
  { code: 'CuSn8', name: 'Bronze CuSn8', isoGroup: 'N' },
] as const;

export const SUPPLIERS = [
  { code: 'NORDKANT', name: 'Nordkant Verktøy', leadTimeDays: 9 },
  { code: 'HALVOR', name: 'Halvorsen Industri', leadTimeDays: 16 },
] as const;

export const MACHINES = [
  {
    code: 'MILL-2',
    name: 'Vertical mill 2',
    taper: '40 taper',
    k: '490',
    lengthSchool: 'datum',
    diameterSchool: 'radius',
    units: 'mm',
    hEqualsT: 'yes',
    rpmMax: '10000',
    feedMax: '8000',
    rapid: '24000',
    toolChangeS: '5',
    withoutPoint: 'as written',
  },
  {
    code: 'HORI-3',
    name: 'Horizontal 3',
    taper: '40 taper',
    k: '612.4',
    lengthSchool: 'gauge',
    diameterSchool: 'diameter',
    units: 'mm',
    hEqualsT: 'yes',
    rpmMax: '12000',
    feedMax: '15000',
    rapid: '40000',
    toolChangeS: '4',
    withoutPoint: 'as written',
  },
  {
    code: 'BENCH-1',
    name: 'Small mill, changed by hand',
    taper: 'R8',
    k: '9.85 in',
    lengthSchool: 'touched-off',
    diameterSchool: 'wear-diameter',
    units: 'inch',
    hEqualsT: 'no',
    rpmMax: '4200',
    feedMax: '60 in',
    rapid: '120 in',
    toolChangeS: '45',
    withoutPoint: 'as written',
  },
] as const;

type Facts = Record<string, string | [string, Origin]>;
interface CutterSpec {
  code: string;
  family: Family;
  maker: string;
  substrate: string;
  facts: Facts;
  /** Assumed minutes and their origin; left out: nobody dares say. */
  assumed?: [string, Origin];
  supplier: string;
  priceCents: number;
  pack?: number;
  place: 'CAB1-A' | 'CAB1-B';
  stock: number;
  /** True mean of its lives by material, minutes: what the simulation draws from. */
  lives: Record<string, number>;
}

export const CUTTERS: CutterSpec[] = [
  {
    code: 'FM50',
    family: 'face',
    maker: 'Skarv',
    substrate: 'carbide',
    facts: { DC: '50', DMM: '25', LCF: '10', OAL: '110', NOF: '5' },
    assumed: ['90', 'maker'],
    supplier: 'HALVOR',
    priceCents: 18400,
    place: 'CAB1-A',
    stock: 9,
    lives: { C45: 85, AlMgSi: 260 },
  },
  {
    code: 'EM16R',
    family: 'roughing',
    maker: 'Skarv',
    substrate: 'carbide',
    facts: { DC: '16', DMM: '16', LCF: '32', OAL: '92', NOF: '4' },
    assumed: ['75', 'maker'],
    supplier: 'NORDKANT',
    priceCents: 9800,
    place: 'CAB1-A',
    stock: 13,
    lives: { C45: 78 },
  },
  {
    code: 'CR10-05',
    family: 'corner-radius',
    maker: 'Tindra',
    substrate: 'carbide',
    facts: { DC: '10', DMM: '10', LCF: '22', OAL: '72', RE: '0.5', NOF: '4' },
    assumed: ['60', 'maker'],
    supplier: 'NORDKANT',
    priceCents: 5200,
    pack: 2,
    place: 'CAB1-A',
    stock: 15,
    lives: { C45: 72, '1.4404': 34 },
  },
  {
    code: 'EM8',
    family: 'square',
    maker: 'Tindra',
    substrate: 'carbide',
    facts: { DC: '8', DMM: '8', LCF: '19', OAL: '63', NOF: '4' },
    assumed: ['50', 'maker'],
    supplier: 'NORDKANT',
    priceCents: 3150,
    pack: 2,
    place: 'CAB1-A',
    stock: 18,
    lives: { C45: 52, '1.4404': 26 },
  },
  {
    code: 'EM6',
    family: 'square',
    maker: 'Tindra',
    substrate: 'carbide',
    facts: { DC: '6', DMM: '6', LCF: '13', OAL: '57', NOF: '4' },
    assumed: ['45', 'similar'],
    supplier: 'NORDKANT',
    priceCents: 2480,
    pack: 2,
    place: 'CAB1-A',
    stock: 4,
    lives: {},
  },
  {
    code: 'EM12-2A',
    family: 'square',
    maker: 'Lomvi',
    substrate: 'carbide',
    facts: { DC: '12', DMM: '12', LCF: '30', OAL: '83', NOF: '2' },
    assumed: ['150', 'guess'],
    supplier: 'HALVOR',
    priceCents: 6100,
    place: 'CAB1-A',
    stock: 6,
    lives: { AlMgSi: 190 },
  },
  {
    code: 'BN8',
    family: 'ball',
    maker: 'Lomvi',
    substrate: 'carbide',
    facts: { DC: '8', DMM: '8', LCF: '16', OAL: '80', NOF: '2' },
    assumed: ['120', 'similar'],
    supplier: 'HALVOR',
    priceCents: 4700,
    place: 'CAB1-A',
    stock: 6,
    lives: { AlMgSi: 130 },
  },
  {
    code: 'CH12-90',
    family: 'chamfer',
    maker: 'Lomvi',
    substrate: 'carbide',
    facts: { DC: '12', DMM: '12', LCF: '6', OAL: '70', SIG: '90', NOF: '4' },
    assumed: ['200', 'guess'],
    supplier: 'HALVOR',
    priceCents: 4100,
    place: 'CAB1-A',
    stock: 3,
    lives: { AlMgSi: 240 },
  },
  {
    code: 'EM-1/2',
    family: 'square',
    maker: 'Skarv',
    substrate: 'cobalt HSS',
    facts: { DC: '1/2 in', DMM: '1/2 in', LCF: '1 1/4 in', OAL: '3 1/4 in', NOF: '3' },
    assumed: ['70', 'guess'],
    supplier: 'NORDKANT',
    priceCents: 2900,
    place: 'CAB1-A',
    stock: 4,
    lives: { CuSn8: 80 },
  },
  {
    code: 'SD10-90',
    family: 'spot-drill',
    maker: 'Tindra',
    substrate: 'cobalt HSS',
    facts: { DC: '10', DMM: '10', LCF: '25', OAL: '89', SIG: '90' },
    assumed: ['60', 'guess'],
    supplier: 'NORDKANT',
    priceCents: 1900,
    place: 'CAB1-B',
    stock: 4,
    lives: { C45: 46 },
  },
  {
    code: 'D5',
    family: 'drill',
    maker: 'Lomvi',
    substrate: 'carbide',
    facts: { DC: '5', DMM: '6', LCF: '40', OAL: '82', SIG: '140' },
    assumed: ['80', 'similar'],
    supplier: 'HALVOR',
    priceCents: 5400,
    place: 'CAB1-B',
    stock: 4,
    lives: { AlMgSi: 90 },
  },
  {
    code: 'D6.8',
    family: 'drill',
    maker: 'Lomvi',
    substrate: 'carbide',
    facts: { DC: '6.8', DMM: '8', LCF: '43', OAL: '91', SIG: '140' },
    assumed: ['40', 'maker'],
    supplier: 'HALVOR',
    priceCents: 6200,
    place: 'CAB1-B',
    stock: 6,
    lives: { C45: 33, '1.4404': 14 },
  },
  {
    code: 'D12',
    family: 'drill',
    maker: 'Lomvi',
    substrate: 'carbide',
    facts: { DC: '12', DMM: '12', LCF: '55', OAL: '102', SIG: '140' },
    assumed: ['40', 'maker'],
    supplier: 'HALVOR',
    priceCents: 9100,
    place: 'CAB1-B',
    stock: 5,
    lives: { C45: 36 },
  },
  {
    code: 'D-15/32',
    family: 'drill',
    maker: 'Skarv',
    substrate: 'HSS',
    facts: { DC: '15/32 in', DMM: ['15/32 in', 'measured'], LCF: '3 in', OAL: '5 1/4 in', SIG: '118' },
    assumed: ['40', 'guess'],
    supplier: 'NORDKANT',
    priceCents: 1250,
    place: 'CAB1-B',
    stock: 3,
    lives: { CuSn8: 50 },
  },
  {
    code: 'RM20-H7',
    family: 'reamer',
    maker: 'Skarv',
    substrate: 'HSS',
    facts: { DC: ['20.013', 'measured'], DMM: '16', LCF: '60', OAL: '195', NOF: '8' },
    supplier: 'HALVOR',
    priceCents: 8800,
    place: 'CAB1-B',
    stock: 2,
    lives: {},
  },
  {
    code: 'TP8',
    family: 'tap',
    maker: 'Tindra',
    substrate: 'cobalt HSS',
    facts: { DC: '8', DMM: ['8', 'guess'], LCF: ['20', 'guess'], OAL: '90', NOF: '3' },
    assumed: ['20', 'guess'],
    supplier: 'NORDKANT',
    priceCents: 3300,
    place: 'CAB1-B',
    stock: 2,
    lives: {},
  },
];

interface HolderSpec {
  code: string;
  taper: string;
  facts: Facts;
  segments: [number, number, number][];
  stock: number;
}
const flange: [number, number, number] = [27, 63, 63];
export const HOLDERS: HolderSpec[] = [
  {
    code: 'SL25-40',
    taper: '40 taper',
    facts: { LF: '72', CLAMP_MIN: '25', CLAMP_MAX: '25', GRIP_MIN: '50', DEPTH_MAX: '59', RPM_MAX: '12000' },
    segments: [flange, [45, 62, 62]],
    stock: 2,
  },
  {
    code: 'SL16-40',
    taper: '40 taper',
    facts: { LF: '63', CLAMP_MIN: '16', CLAMP_MAX: '16', GRIP_MIN: '44', DEPTH_MAX: '52', RPM_MAX: '12000' },
    segments: [flange, [36, 48, 44]],
    stock: 2,
  },
  {
    code: 'CC10-40',
    taper: '40 taper',
    facts: { LF: '80', CLAMP_MIN: '1', CLAMP_MAX: '10', GRIP_MIN: '24', DEPTH_MAX: '60', RPM_MAX: '15000' },
    segments: [flange, [38, 34, 28], [15, 28, 28]],
    stock: 6,
  },
  {
    code: 'CC20-40',
    taper: '40 taper',
    facts: { LF: '85', CLAMP_MIN: '2', CLAMP_MAX: '20', GRIP_MIN: '30', DEPTH_MAX: '72', RPM_MAX: '12000' },
    segments: [flange, [33, 50, 50], [25, 50, 46]],
    stock: 4,
  },
  {
    code: 'SH12-40',
    taper: '40 taper',
    facts: { LF: '90', CLAMP_MIN: '12', CLAMP_MAX: '12', GRIP_MIN: '36', DEPTH_MAX: '47', RPM_MAX: '20000' },
    segments: [flange, [20, 32, 32], [43, 32, 24]],
    stock: 2,
  },
  {
    code: 'SH8-40',
    taper: '40 taper',
    facts: { LF: '90', CLAMP_MIN: '8', CLAMP_MAX: '8', GRIP_MIN: '26', DEPTH_MAX: '42', RPM_MAX: '20000' },
    segments: [flange, [20, 27, 27], [43, 27, 21]],
    stock: 2,
  },
  {
    code: 'DC13-40',
    taper: '40 taper',
    facts: { LF: '98', CLAMP_MIN: '1', CLAMP_MAX: '13', DEPTH_MAX: '42', RPM_MAX: '12000' },
    segments: [flange, [41, 40, 50], [30, 50, 38]],
    stock: 2,
  },
  {
    code: 'CC20-R8',
    taper: 'R8',
    facts: { LF: '1.85 in', CLAMP_MIN: '2', CLAMP_MAX: '20', GRIP_MIN: ['28', 'guess'], DEPTH_MAX: '2.8 in' },
    segments: [[46.99, 48, 40]],
    stock: 3,
  },
  {
    code: 'SL16-R8',
    taper: 'R8',
    facts: { LF: '2.0 in', CLAMP_MIN: '16', CLAMP_MAX: '16', GRIP_MIN: '40', DEPTH_MAX: '50' },
    segments: [[50.8, 44, 38]],
    stock: 1,
  },
];

/** What is tied to each T: cutter, holder, stickout. */
export const BUILDS: Record<string, [string, string, string]> = {
  'VB T1': ['FM50', 'SL25-40', '52'],
  'VB T7': ['EM16R', 'SL16-40', '42'],
  'VB T2': ['CR10-05', 'CC10-40', '34'],
  'VB T3': ['EM8', 'SH8-40', '30'],
  'VB T4': ['SD10-90', 'CC10-40', '40'],
  'VB T5': ['D6.8', 'CC10-40', '50'],
  'VB T6': ['D12', 'CC20-40', '58'],
  'SH T1': ['FM50', 'SL25-40', '52'],
  'SH T12': ['EM12-2A', 'SH12-40', '40'],
  'SH T14': ['BN8', 'CC10-40', '38'],
  'SH T15': ['D5', 'DC13-40', '46'],
  'SH T16': ['CH12-90', 'CC20-40', '30'],
  'BU T1': ['D-15/32', 'CC20-R8', '3.2 in'],
  'BU T2': ['EM-1/2', 'CC20-R8', '1.9 in'],
};

export const JOBS = {
  VB: {
    number: 'J-4417',
    part: 'Valve block',
    revision: 'C',
    material: 'C45',
    quantity: 320,
    machine: 'MILL-2',
    highestBeside: '0',
    partZero: '118.5',
    program: 'valve-block.nc',
  },
  SH: {
    number: 'J-2205',
    part: 'Seal housing',
    revision: 'A',
    material: 'AlMgSi',
    quantity: 420,
    machine: 'HORI-3',
    highestBeside: '0',
    partZero: '160',
    program: 'seal-housing.nc',
  },
  BU: {
    number: 'J-0820',
    part: 'Bush 20 H7',
    revision: 'B',
    material: 'CuSn8',
    quantity: 90,
    machine: 'BENCH-1',
    highestBeside: '0.25 in',
    partZero: '3.125 in',
    program: 'bronze-bush.nc',
  },
  CV: {
    number: 'J-3120',
    part: 'Cover',
    revision: 'B',
    material: '1.4404',
    quantity: 60,
    machine: 'MILL-2',
    highestBeside: '24',
    partZero: '96',
    program: 'stainless-cover.nc',
  },
} as const;
