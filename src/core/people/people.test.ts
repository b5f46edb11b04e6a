import {
  EVERYBODY,
  HOURS_BACK,
  mayActForAnother,
  mayDo,
  PASSWORD,
  passwordFault,
  PIN_DIGITS,
  pinFault,
  SESSION,
  sessionEnds,
  whoMay,
} from './index';

const isMostUsed = (p: string) => ['password', 'qwertyuiopasdfg', 'iloveyou', 'correcthorse'].includes(p);
const fault = (password: string) =>
  passwordFault(password, { initials: 'IK', name: 'Ida Kvist' }, isMostUsed);

describe('passwords', () => {
  // NIST SP 800-63B-4, 3.1.1.2: 15 or more where it stands alone; at least 64 are taken; each code point is one; no
  // rule of composition; blanks are taken; those most used, and words of the service and of the name, are refused.
  it('have 15 characters or more, up to more than 64', () => {
    expect(PASSWORD).toEqual({ least: 15, most: 128 });
    expect(fault('four mild words')).toBeNull();
    expect(fault('four mild word')).toMatch(/14 characters/);
    expect(fault('wandering otters '.repeat(4))).toBeNull();
    expect(fault('wandering otters '.repeat(8))).toMatch(/136 characters/);
  });
  it('count characters and not their bytes', () => {
    expect(fault('åse går på skøyt')).toBeNull();
    expect(fault('🔩🔧🪛🗜️🧰 verkstedet')).toBeNull();
    expect(fault('🔩🔧🪛🧰')).toMatch(/4 characters/);
  });
  it('ask for no capital, digit or sign', () => expect(fault('an old lathe hums')).toBeNull());
  it.each([
    ['aaaaaaaaaaaaaaaaaaaa', /too few/],
    ['121212121212121212', /too few/],
    ['qwertyuiopasdfg', /most used/],
    ['Stable-Password', /most used/],
    ['ida kvist ida kvist', /own name/],
    ['Ida Kvist iloveyou', /most used/],
  ])('refuse %s', (password, why) => expect(fault(password)).toMatch(why));
});

describe('PINs', () => {
  it.each(['314159', '902714', '112358'])('take %s', (pin) => expect(pinFault(pin)).toBeNull());
  it.each(['000000', '123456', '987654', '121212', '123123', '12345', '1234567', '12345a', ''])(
    'refuse %j',
    (pin) => expect(pinFault(pin)).not.toBeNull(),
  );
  // 800-63B-4, 3.1.1.2: where only digits are wanted, four or more.
  it('have six digits', () => expect(PIN_DIGITS).toBeGreaterThanOrEqual(4));
});

describe('sign-ins', () => {
  const hour = 3_600_000;
  // 800-63B-4, 2.1.3 (AAL1): signed in anew after 30 days at most.
  it('end after a week, and after ten idle hours', () => {
    expect(SESSION.absolute).toBeLessThanOrEqual(30 * 86_400);
    expect(sessionEnds(0, 0, false)).toBe(10 * hour);
    expect(sessionEnds(0, 9 * hour, false)).toBe(19 * hour);
    expect(sessionEnds(0, 167 * hour, false)).toBe(168 * hour);
  });
  it('of a screen of many hands do not idle out: whoever signs there does', () => {
    expect(sessionEnds(0, 0, true)).toBe(SESSION.shared * 1000);
    expect(SESSION.hand).toBeLessThanOrEqual(300);
  });
});

describe('roles', () => {
  it('let an owner do all, and a viewer only look', () => {
    expect(mayDo('owner', [])).toBe(true);
    expect(mayDo('viewer', EVERYBODY)).toBe(true);
    expect(mayDo('viewer', ['crib', 'planner', 'operator'])).toBe(false);
    expect(mayDo(null, EVERYBODY)).toBe(false);
  });
  it('say in words who may', () => {
    expect(whoMay([])).toBe('owner');
    expect(whoMay(['crib', 'operator'])).toBe('owner, crib or operator');
  });
  it('let those who keep books enter for others, and further back', () => {
    expect((['owner', 'crib', 'planner', 'operator', 'viewer'] as const).map(mayActForAnother)).toEqual([
      true,
      true,
      true,
      false,
      false,
    ]);
    // Common practice: a month is closed when the next one is; a shift is written down by the next morning.
    expect(HOURS_BACK.crib).toBe(744);
    expect(HOURS_BACK.operator).toBe(36);
  });
});
