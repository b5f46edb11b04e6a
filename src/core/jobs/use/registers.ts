import { type Judgement, mm, say } from '../../because';
import { DEFAULTS } from '../../defaults';
import { callsAnother } from '../../registers';
import type { Use, UseState } from './facts';

/** The length that is called, the length that was measured, and whether what was entered at the machine still holds. */
export const judgeRegisters = (use: Pick<Use, 'asks' | 'machine'>, state: UseState | null): Judgement[] =>
  [
    elsewhere('H', use, state) ?? length(use, state),
    diameter(use, state),
    state && measured(use, state),
    state && runout(state),
    state && entered(use, state),
  ].filter((j) => j !== null);

/**
 * A sister in a pocket of her own has registers of her own, and a program calls those of the tool it was written for. Who
 * follows is the control's doing: some take her length with her, some the one that is called, which is another tool's.
 */
function elsewhere(
  letter: 'H' | 'D',
  { asks, machine }: Pick<Use, 'asks' | 'machine'>,
  state: UseState | null,
): Judgement | null {
  const pocket = state?.pocket ?? null;
  const own = letter === 'H' ? pocket?.h : pocket?.d;
  const called = letter === 'H' ? asks.h : asks.d;
  if (!pocket || own == null || own === asks.t || !callsAnother(called, own)) return null;
  const { takes } = pocket;
  const words = `Its ${letter === 'H' ? 'length' : 'diameter'} is in ${letter}${own}, the program calls ${called
    .map((n) => `${letter}${n}`)
    .join(', ')}`;
  return say(
    `${letter}_T`,
    takes === 'its own' ? 'good' : takes === null ? 'question' : 'stop',
    takes === 'its own'
      ? `${words}: ${machine.code} takes its own`
      : takes === null
        ? `${words}: does ${machine.code} take its own all the same?`
        : `${words}, and ${machine.code} takes what is called`,
    letter === 'H'
      ? 'With the length of another tool it goes too deep, or into what holds the part. What the machine takes is stated at its magazine.'
      : 'With the diameter of another tool it cuts another size. What the machine takes is stated at its magazine.',
    [
      [`${letter} called`, called.map((n) => `${letter}${n}`).join(', '), 'program'],
      [`its ${letter}`, `${letter}${own}`, `pocket ${pocket.pocket}`],
    ],
  );
}

/** Every H the program calls with this T: its own must be among them, no other where the machine wants H = T. */
function length({ asks, machine }: Pick<Use, 'asks' | 'machine'>, state: UseState | null): Judgement {
  const { t, h } = asks;
  const own = state?.pocket?.h ?? t;
  const values: [string, string, string][] = [
    ['H called', h.map((n) => `H${n}`).join(', ') || 'none', 'program'],
    ['T', String(t), 'program'],
  ];
  const foreign = h.filter((n) => n !== own && n !== 0);
  const names = foreign.map((n) => `H${n}`).join(', ');
  const wanted = machine.hEqualsT ? h.filter((n) => n !== t && n !== 0) : [];
  if (wanted.length)
    return say(
      'H_T',
      'stop',
      `${wanted.map((n) => `H${n}`).join(', ')} is called with T${t}`,
      'A length of another tool puts the tip elsewhere.',
      values,
      'H = T',
    );
  if (foreign.length)
    return say(
      'H_T',
      'question',
      `${names} with T${t}: ${machine.code} allows it, is it meant?`,
      'A length of another tool puts the tip elsewhere.',
      values,
    );
  if (!h.includes(own))
    return say(
      'H_T',
      'question',
      h.includes(0) ? 'H0: no length is in force with it' : 'No H is called with it',
      'Without its length a tool crashes or cuts air.',
      values,
    );
  return say(
    'H_T',
    'good',
    `H${own} with T${t}`,
    'A length of another tool puts the tip elsewhere.',
    own === t ? values : [...values, ['its H', `H${own}`, `pocket ${state?.pocket?.pocket}`]],
    own === t ? 'H = T' : undefined,
  );
}

/** Every D it calls; where one is called there must be a diameter to enter. */
function diameter(use: Pick<Use, 'asks' | 'machine'>, state: UseState | null): Judgement | null {
  const { asks, machine } = use;
  const called = asks.d.filter((n) => n !== 0);
  if (!called.length) return null;
  const values: [string, string, string][] = [
    ['D called', called.map((n) => `D${n}`).join(', '), 'program'],
    ['T', String(asks.t), 'program'],
  ];
  const why = 'Compensation offsets the path by this register: another one cuts another size.';
  const own = state?.pocket?.d ?? asks.t;
  const another = elsewhere('D', use, state);
  if (another && another.grade !== 'good') return another;
  const foreign = another ? [] : called.filter((n) => n !== own);
  if (foreign.length && machine.hEqualsT)
    return say(
      'D_T',
      'question',
      `${foreign.map((n) => `D${n}`).join(', ')} with T${asks.t}: is it meant?`,
      why,
      values,
    );
  if (state && state.measured === 'measured' && !state.diameterMeasured)
    return say(
      'D_T',
      'question',
      `${values[0]?.[1]} is called and its diameter was not measured`,
      why,
      values,
    );
  if (another) return another;
  return say('D_T', 'good', `${called.map((n) => `D${n}`).join(', ')} with T${asks.t}`, why, values);
}

function measured({ machine }: Pick<Use, 'machine'>, state: UseState): Judgement {
  // Where the machine is master of its figures, what the crib measured is for comparing.
  if (state.setThere)
    return state.setThere === 'read'
      ? say(
          'MEASURED',
          'good',
          `Measured by ${machine.code} itself, and read back`,
          'Its own setter writes the register; nobody else does.',
        )
      : say(
          'MEASURED',
          'question',
          `${machine.code} measures its tools itself: set it there, then read it back`,
          'Until then its register holds another tool’s length, or an older one.',
        );
  const why = 'What was not measured, or not again since something moved, puts the tip where nobody knows.';
  switch (state.measured) {
    case 'not measured':
      return say('MEASURED', 'question', 'Not measured: there is no length to enter', why);
    case 'in question':
      return say(
        'MEASURED',
        'question',
        `Length in question: ${state.question ?? 'nobody has settled it'}`,
        why,
      );
    case 'measured':
      if (state.deviceDoubt)
        return say(
          'MEASURED',
          'question',
          'Measured with a device that was off at its check: measure it again',
          why,
        );
      return say('MEASURED', 'good', 'Measured, and not moved since', why);
  }
}

/** Where it was measured; most tools are good without, and so it is not asked for. */
function runout({ measured: state, runout: r }: UseState): Judgement | null {
  if (state !== 'measured' || r === null) return null;
  const values: [string, string][] = [
    ['runout', mm(r)],
    ['asked about from', mm(DEFAULTS.runoutMm)],
  ];
  const why = 'One edge then cuts for all: it wears first, and holes and slots come out large.';
  return r > DEFAULTS.runoutMm + 1e-9
    ? say('RUNOUT', 'question', `Runs out by ${mm(r)}`, why, values)
    : say('RUNOUT', 'good', `Runs out by ${mm(r)}`, why, values);
}

/** Whether H can be reckoned on this machine, and by the figures that hold now. */
function entered({ machine }: Pick<Use, 'machine'>, state: UseState): Judgement | null {
  if (state.setThere || state.measured !== 'measured') return null;
  if (state.registerNeeds !== null)
    return say(
      'REGISTER',
      'question',
      `H on ${machine.code} needs ${state.registerNeeds}`,
      'There is nothing to enter until that is stated.',
    );
  if (state.figuresChanged)
    return say(
      'REGISTER',
      'question',
      `Figures of ${machine.code} changed since it was measured: enter H again`,
      'What was entered before is wrong by the difference.',
    );
  return null;
}
