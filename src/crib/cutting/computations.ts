import { type CutAsked, cutFigures } from '@/core/cutting';
import { type Computation, computation, part } from '@/crib/door';

const orNone = <const S extends object>(schema: S) => ({ anyOf: [schema, { type: 'null' }] }) as const;
const range = part.shape({ least: part.positive, most: part.positive }, ['least', 'most']);
const share = { type: 'number', exclusiveMinimum: 0, maximum: 1 } as const;

/** What is reckoned of a cut. */
export const CUTTING_COMPUTATIONS: readonly Computation[] = [
  computation<CutAsked>(
    'cutting/cut',
    'A cut as a whole: the rest of its speed and feed from one figure of each, its chip, power by two schools, torque, force, deflection, ridge, the feed in a corner and a bore, and what binds first. mm, minutes, kW, N m, N.',
    part.shape(
      {
        cutter: part.cutter,
        speed: {
          anyOf: [part.shape({ vc: part.positive }, ['vc']), part.shape({ n: part.positive }, ['n'])],
        },
        feed: {
          anyOf: [part.shape({ fz: part.positive }, ['fz']), part.shape({ vf: part.positive }, ['vf'])],
        },
        ...{ ap: part.positive, ae: part.positive },
        material: orNone(
          part.shape({ kc11: range, mc: range, unit: orNone(range), source: part.textOrNull }, [
            'kc11',
            'mc',
            'unit',
          ]),
        ),
        limits: part.shape(
          {
            rpm: part.list(part.shape({ of: part.text, limit: orNone(part.positive) }, ['of', 'limit']), 20),
            hunts: orNone(part.shape({ from: part.amount, to: part.amount }, ['from', 'to'])),
            ...{
              feedMax: orNone(part.positive),
              power: orNone(part.positive),
              torque: orNone(part.positive),
            },
            eta: orNone(share),
            thickestChip: orNone(part.positive),
            gears: part.list(
              part.shape(
                {
                  name: { enum: ['only', 'low', 'high'] },
                  ...{ from: part.amount, to: part.amount, kw: part.positive, nm: part.positive },
                },
                ['name', 'from', 'to', 'kw', 'nm'],
              ),
              10,
            ),
          },
          ['rpm', 'hunts', 'feedMax', 'power', 'torque', 'eta'],
        ),
        build: orNone(
          part.shape({ details: part.cutterDetails, stickout: part.positive }, ['details', 'stickout']),
        ),
        ...{ tolerance: orNone(part.positive), corner: orNone(part.positive), bore: orNone(part.positive) },
        ramp: orNone({ type: 'number', exclusiveMinimum: 0, maximum: 90 } as const),
        volume: orNone(part.positive),
        centreCutting: part.yesNo,
      },
      ['cutter', 'speed', 'feed', 'ap', 'ae', 'material', 'limits', 'build', 'tolerance', 'corner', 'bore'],
    ),
    (asked) => cutFigures({ ...asked, cutter: part.whole(asked.cutter) }),
  ),
];
