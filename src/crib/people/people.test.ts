import { randomUUID } from 'node:crypto';
import { namesOf } from '@/core/names';
import { mayDo, type Role, ROLES, SESSION } from '@/core/people';
import { type Crib, performAs, type Signed } from '@/crib/door';
import { furnish, openTestCrib, OWNER, type TestCrib } from '@/crib/testing';
import { VERBS, verbNamed } from '@/crib/verbs';
import { historyView } from '@/crib/ledger';
import { ACTS } from '@/crib/acts';
import type { ActContext } from './act';
import { digestOf } from './digest';
import { codeFromConsole, codeOfFirstOwner, demoKey } from './first';
import { runAct } from './runAct';
import { secondAsked } from './second';
import { Slow } from './slow';
import { whoSigns } from './whoSigns';

let crib: TestCrib;
let slow: Slow;
const PHRASE = 'three mild wolves';
const START = '2027-01-05T08:00:00Z';

/** Does an act as its request would: by the cookie that came with it. */
async function act(path: string, input: object, token?: string | null, demo = false, address = '192.0.2.7') {
  const signed = token ? await whoSigns(crib, { token }) : null;
  const context: ActContext = { crib, demo, slow, signed, address, device: 'Firefox on Windows' };
  const done = await runAct(
    context,
    ACTS.find((a) => a.path === path)!,
    input,
  );
  return { answer: done.answer as Record<string, string>, token: done.token };
}
const code = (c: Promise<unknown>) =>
  c.then(
    () => null,
    (e: { code?: string }) => e.code ?? String(e),
  );
const does = (signed: Signed | null, verb: string, input: object) =>
  performAs(
    crib,
    signed!,
    verbNamed(verb)!,
    { formId: randomUUID(), ...input },
    VERBS,
    secondAsked({ crib, slow, address: '192.0.2.7' }),
  );
/** A person with a role and a password, and the token of their sign-in. */
async function personIn(initials: string, role: Role): Promise<string> {
  await crib.do('addPerson', { initials, name: `Person ${initials}` });
  await crib.do('setRole', { person: initials, role });
  const given = await codeFromConsole(crib, initials);
  return (await act('sign-in/code', { code: given, password: PHRASE })).token!;
}

beforeEach(async () => {
  crib = await openTestCrib();
  slow = new Slow();
  crib.at(START);
  await furnish(crib);
  await crib.do('setRole', { person: 'IK', role: 'owner' });
});
afterEach(() => crib.db.close());

const owner = async () =>
  (await act('sign-in/code', { code: await codeFromConsole(crib, 'IK'), password: PHRASE })).token!;

it('a clock that was set back enters nothing: it would count for older than what it follows', async () => {
  const receive = () => does(OWNER, 'receiveStock', { item: 'EM10', place: 'S1', quantity: 1 });
  crib.at('2027-01-05T07:49:00Z');
  expect(await code(receive())).toBe('CLOCK_BACK');
  // What is only put right is no fault.
  crib.at('2027-01-05T07:51:00Z');
  expect(await code(receive())).toBeNull();
});

describe('the first owner', () => {
  it('comes in by a code that counts once, and no other way', async () => {
    const empty = await openTestCrib();
    const first = (await codeOfFirstOwner(empty))!;
    const come = async (c: string, input: object) => {
      const context = { crib: empty as Crib, demo: false, slow, signed: null, address: 'a', device: 'd' };
      return runAct(
        context,
        ACTS.find((a) => a.path === 'sign-in/code')!,
        { code: c, ...input },
      );
    };
    const ida = { who: 'IK', name: 'Ida Kern', password: PHRASE };
    expect(await code(come('BCDF-GHJK-MNPQ-RTVW', ida))).toBe('NOT_SIGNED_IN');
    expect(await code(come(first, { ...ida, password: 'short' }))).toBe('INVALID_INPUT');
    // However it is typed.
    const { token } = await come(first.toLowerCase().replaceAll('-', ' '), ida);
    expect(await whoSigns(empty, { token })).toMatchObject({ who: 'IK', role: 'owner' });
    expect(await code(come(first, ida))).toBe('NOT_SIGNED_IN');
    expect(await codeOfFirstOwner(empty)).toBeNull();
    await empty.db.close();
  });
});

describe('signing in', () => {
  it('by initials and password gives a new token each time, kept as a digest', async () => {
    const one = await owner();
    const { token: two } = await act('sign-in', { who: 'IK', password: PHRASE }, one);
    expect(two).not.toBe(one);
    expect(two!.length).toBeGreaterThanOrEqual(43);
    const kept = await crib.db.query<{ t: string }>(
      'select s::text as t from session s union all select x::text from secret x',
    );
    expect(kept.map((k) => k.t).join()).not.toContain(two);
    expect(kept.map((k) => k.t).join()).not.toContain(PHRASE);
    expect(kept.map((k) => k.t).join()).toContain('$argon2id$v=19$m=19456,t=2,p=1$');
  });
  it('a token that came with the request is not taken over (fixation)', async () => {
    await owner();
    const { token } = await act('sign-in', { who: 'IK', password: PHRASE }, 'chosen-by-somebody-else');
    expect(token).not.toBe('chosen-by-somebody-else');
    expect(await whoSigns(crib, { token: 'chosen-by-somebody-else' })).toBeNull();
  });
  it('says the same of a wrong password, a name that is none, and one without a password', async () => {
    await owner();
    await crib.do('addPerson', { initials: 'TO', name: 'Tor' });
    const said = await Promise.all(
      ['IK', 'TO', 'XX'].map((who) =>
        act('sign-in', { who, password: 'not the one I have' }).catch((e: Error) => e.message),
      ),
    );
    expect(new Set(said).size).toBe(1);
  });
  it('is slowed after five misses, for the right password too, and for others not', async () => {
    await owner();
    await personIn('TO', 'operator');
    for (let i = 0; i < 5; i += 1)
      expect(await code(act('sign-in', { who: 'IK', password: 'wrong wrong wrong' }))).toBe('NOT_SIGNED_IN');
    expect(await code(act('sign-in', { who: 'IK', password: PHRASE }))).toBe('TOO_OFTEN');
    expect(await code(act('sign-in', { who: 'TO', password: PHRASE }))).toBeNull();
  });
  it('is slowed for an address that tries many names', async () => {
    const names = Array.from(
      { length: 31 },
      (_, i) => `A${String.fromCharCode(65 + (i % 26))}${i > 25 ? 'X' : ''}`,
    );
    const codes = [];
    for (const who of names) codes.push(await code(act('sign-in', { who, password: 'wrong wrong wrong' })));
    expect(codes.slice(0, 30)).toEqual(new Array(30).fill('NOT_SIGNED_IN'));
    expect(codes[30]).toBe('TOO_OFTEN');
  });
  it('refuses most used passwords and short ones, and never says them again', async () => {
    const token = await owner();
    for (const password of [
      'password',
      'passwordpassword',
      '123456789qwerty',
      '1qaz2wsx3edc4rfv',
      'Ida Kern Ida Kern',
    ])
      await act('people/password', { old: PHRASE, password }, token).then(
        () => expect(password).toBe('refused'),
        (e: { code: string; document(): object }) => {
          expect(e.code).toBe('INVALID_INPUT');
          expect(JSON.stringify(e.document())).not.toContain(
            password === 'password' ? 'never said' : password,
          );
        },
      );
  });
  it('as anybody by one tap is for the demo alone', async () => {
    expect(await code(act('sign-in/demo', { who: 'IK' }))).toBe('NOT_ALLOWED');
    expect((await act('sign-in/demo', { who: 'IK' }, null, true)).token).toBeTruthy();
    expect(await code(act('sign-in/demo', { who: 'XX' }, null, true))).toBe('NOT_FOUND');
  });
});

describe('a sign-in', () => {
  it('ends after ten idle hours, after a week however used, and at once when signed out', async () => {
    const token = await owner();
    crib.at('2027-01-05T17:59:00Z');
    expect(await whoSigns(crib, { token })).not.toBeNull();
    crib.at('2027-01-06T04:00:00Z');
    expect(await whoSigns(crib, { token })).toBeNull();

    crib.at(START);
    const used = (await act('sign-in', { who: 'IK', password: PHRASE })).token!;
    for (let h = 0; h < SESSION.absolute / 3600; h += 9) {
      crib.at(new Date(Date.parse(START) + h * 3_600_000).toISOString());
      expect(await whoSigns(crib, { token: used })).not.toBeNull();
    }
    crib.at(new Date(Date.parse(START) + SESSION.absolute * 1000).toISOString());
    expect(await whoSigns(crib, { token: used })).toBeNull();

    crib.at(START);
    const out = (await act('sign-in', { who: 'IK', password: PHRASE })).token!;
    expect((await act('sign-out', {}, out)).token).toBeNull();
    // A cookie that was stolen before is worth nothing now.
    expect(await whoSigns(crib, { token: out })).toBeNull();
  });
  it('ends with all others when the password changes, is listed, and is ended by its owner alone', async () => {
    const [here, there] = [await owner(), (await act('sign-in', { who: 'IK', password: PHRASE })).token!];
    const to = await personIn('TO', 'operator');
    const { session } = (await whoSigns(crib, { token: there }))!;
    expect(await code(act('people/sessions/end', { session: session!.id }, to))).toBe('NOT_FOUND');
    expect(
      await code(act('people/password', { old: 'guessed at a screen', password: 'four mild wolves' }, here)),
    ).toBe('NOT_ALLOWED');
    const { token } = await act('people/password', { old: PHRASE, password: 'four mild wolves' }, here);
    expect(await whoSigns(crib, { token: here })).toBeNull();
    expect(await whoSigns(crib, { token: there })).toBeNull();
    expect(await whoSigns(crib, { token })).toMatchObject({ who: 'IK' });
    expect(await whoSigns(crib, { token: to })).toMatchObject({ who: 'TO' });
  });
  it('ends with the person: out of use, the name stays, keys die', async () => {
    const boss = await owner();
    const token = await personIn('TO', 'owner');
    const { answer } = await act('keys', { name: 'monitor', role: 'viewer' }, token);
    expect(await whoSigns(crib, { key: answer.key })).toMatchObject({ role: 'viewer' });
    // An owner no more: the keys they made as one go too.
    const ida = await whoSigns(crib, { token: boss });
    await does(ida, 'setRole', { person: 'TO', role: 'crib' });
    expect(await whoSigns(crib, { key: answer.key })).toBeNull();
    await does(ida, 'setRole', { person: 'TO', role: 'owner' });
    expect(await whoSigns(crib, { key: answer.key })).not.toBeNull();
    await does(ida, 'changeSetUp', {
      what: 'person',
      code: 'TO',
      inUse: 'no',
    });
    expect(await whoSigns(crib, { token })).toBeNull();
    expect(await whoSigns(crib, { key: answer.key })).toBeNull();
    expect(await code(act('sign-in', { who: 'TO', password: PHRASE }))).toBe('NOT_SIGNED_IN');
    expect((await historyView(crib.db, VERBS)).some((l) => /TO/.test(l.words))).toBe(true);
  });
  it('forgotten, is opened again by an owner’s code, once', async () => {
    const boss = await owner();
    const token = await personIn('TO', 'operator');
    expect(await code(act('people/codes', { person: 'TO' }, token))).toBe('NOT_ALLOWED');
    const { answer } = await act('people/codes', { person: 'TO' }, boss);
    crib.at('2027-01-08T08:00:01Z');
    expect(await code(act('sign-in/code', { code: answer.code, password: PHRASE }))).toBe('NOT_SIGNED_IN');
    crib.at(START);
    expect((await act('sign-in/code', { code: answer.code, password: PHRASE })).answer).toEqual({
      who: 'TO',
    });
    expect(await code(act('sign-in/code', { code: answer.code, password: PHRASE }))).toBe('NOT_SIGNED_IN');
  });
});

describe('a screen of many hands', () => {
  it('signs nothing by itself; a PIN or a badge does, and hands back after two minutes', async () => {
    const boss = await owner();
    const tor = await personIn('TO', 'operator');
    await act('people/pin', { old: PHRASE, pin: '314159' }, tor);
    const hatch = (await act('people/shared-screens', { name: 'Hatch' }, boss)).token!;
    expect(await whoSigns(crib, { token: boss })).toBeNull();
    const nobody = await whoSigns(crib, { token: hatch });
    expect(nobody).toMatchObject({ who: null, role: 'viewer' });
    expect(await code(does(nobody, 'addPlace', { code: 'X1', name: 'X', kind: 'shelf' }))).toBe(
      'NOBODY_AT_HAND',
    );
    expect(await code(act('hand', { who: 'TO', pin: '314158' }, hatch))).toBe('NOT_SIGNED_IN');
    await act('hand', { who: 'TO', pin: '314159' }, hatch);
    const signed = await whoSigns(crib, { token: hatch });
    expect(signed).toMatchObject({ who: 'TO', role: 'operator' });
    expect(await code(does(signed, 'addPlace', { code: 'X1', name: 'X', kind: 'shelf' }))).toBe(
      'NOT_ALLOWED',
    );
    crib.at('2027-01-05T08:02:00Z');
    expect(await whoSigns(crib, { token: hatch })).toMatchObject({ who: null });
    const { answer } = await act('people/badges', { person: 'TO' }, await owner());
    await act('hand', { badge: answer.badge }, hatch);
    expect(await whoSigns(crib, { token: hatch })).toMatchObject({ who: 'TO' });
    await act('hand/back', {}, hatch);
    expect(await whoSigns(crib, { token: hatch })).toMatchObject({ who: null });
    // Secrets are changed where somebody signed in themselves.
    await act('hand', { badge: answer.badge }, hatch);
    expect(await code(act('people/pin', { old: PHRASE, pin: '271828' }, hatch))).toBe('NOT_ALLOWED');
  });
  it('gives out no code, badge, key or role by an owner’s PIN', async () => {
    const boss = await owner();
    await act('people/pin', { old: PHRASE, pin: '314159' }, boss);
    await crib.do('addPerson', { initials: 'TO', name: 'Tor' });
    await crib.do('setRole', { person: 'TO', role: 'operator' });
    const hatch = (await act('people/shared-screens', { name: 'Hatch' }, boss)).token!;
    await act('hand', { who: 'IK', pin: '314159' }, hatch);
    for (const [path, input] of [
      ['people/codes', { person: 'TO' }],
      ['people/badges', { person: 'TO' }],
      ['people/locked', { person: 'TO' }],
      ['keys', { name: 'wide', role: 'owner' }],
    ] as const)
      expect([path, await code(act(path, input, hatch))]).toEqual([path, 'NOT_ALLOWED']);
    const signed = await whoSigns(crib, { token: hatch });
    expect(await code(does(signed, 'setRole', { person: 'TO', role: 'owner' }))).toBe('NOT_ALLOWED');
    expect(await code(does(signed, 'addPlace', { code: 'X1', name: 'X', kind: 'shelf' }))).toBeNull();
  });
  it('a worn badge, or a code typed wrong, keeps nobody else out', async () => {
    const hatch = (await act('people/shared-screens', { name: 'Hatch' }, await owner())).token!;
    const { answer } = await act('people/badges', { person: 'IK' }, await owner());
    for (let i = 0; i < 8; i += 1)
      expect(await code(act('hand', { badge: 'BADGE-2222-2222-2222-2222' }, hatch))).toBe('NOT_SIGNED_IN');
    expect(await code(act('hand', { badge: answer.badge }, hatch))).toBeNull();
    for (let i = 0; i < 8; i += 1)
      await code(act('sign-in/code', { code: 'BCDF-GHJK-MNPQ-RTVW', password: PHRASE }));
    expect(
      await code(act('sign-in/code', { code: await codeFromConsole(crib, 'IK'), password: PHRASE })),
    ).toBeNull();
  });
  it('slows who guesses a PIN', async () => {
    const hatch = (await act('people/shared-screens', { name: 'Hatch' }, await owner())).token!;
    for (let i = 0; i < 5; i += 1) await code(act('hand', { who: 'IK', pin: '902714' }, hatch));
    expect(await code(act('hand', { who: 'IK', pin: '902714' }, hatch))).toBe('TOO_OFTEN');
  });
});

describe('who may', () => {
  const as = (role: Role): Signed => ({
    who: 'IK',
    role,
    session: { id: 1, person: 'IK', shared: false, handUntil: null },
    key: null,
  });
  // The one table is that of the verbs' own files; each is tried as every role that it does not name.
  it.each(VERBS.map((v) => [v.name, v] as const))(
    '%s is refused to every role that may not',
    async (_, verb) => {
      for (const role of namesOf(ROLES)) {
        const said = await code(performAs(crib, as(role), verb, {}, VERBS));
        // Whoever may gets as far as the schema, which an empty input mostly does not fit.
        expect([role, said === 'NOT_ALLOWED']).toEqual([role, !mayDo(role, verb.may)]);
      }
    },
  );
  it('every verb is somebody’s, and no viewer’s', () => {
    for (const v of VERBS) expect([v.name, mayDo('viewer', v.may)]).toEqual([v.name, false]);
    for (const v of VERBS) expect([v.name, mayDo('owner', v.may)]).toEqual([v.name, true]);
  });
  it.each(ACTS.filter((a) => a.may !== null).map((a) => [a.path, a] as const))(
    '%s is refused to whom it is not for, and to strangers',
    async (_, a) => {
      const context = (signed: Signed | null): ActContext => ({
        crib,
        demo: false,
        slow,
        signed,
        address: 'a',
        device: 'd',
      });
      expect(await code(runAct(context(null), a, {}))).toBe('NOT_SIGNED_IN');
      for (const role of namesOf(ROLES))
        if (!mayDo(role, a.may!))
          expect([role, await code(runAct(context(as(role)), a, {}))]).toEqual([role, 'NOT_ALLOWED']);
    },
  );
  it('enters for another by those who keep the books, and records both', async () => {
    await personIn('TO', 'operator');
    expect(await code(does({ ...as('operator'), who: 'TO' }, 'moveStock', { who: 'IK' }))).toBe(
      'NOT_ALLOWED',
    );
    await does(as('crib'), 'receiveStock', { item: 'EM10', place: 'S1', quantity: 1, who: 'TO' });
    const [line] = await historyView(crib.db, VERBS);
    expect(line).toMatchObject({ who: 'TO', signedBy: 'IK' });
    await does(as('crib'), 'receiveStock', { item: 'EM10', place: 'S1', quantity: 1 });
    expect((await historyView(crib.db, VERBS))[0]).toMatchObject({ who: 'IK', signedBy: null });
  });
  it('enters what happened before only as far back as the role may', async () => {
    const earlier = (hours: number) => new Date(Date.parse(START) - hours * 3_600_000).toISOString();
    const at = (role: Role, hours: number) =>
      code(
        does(as(role), 'saveView', { name: `v${role}${hours}`, query: 'q=x', happenedAt: earlier(hours) }),
      );
    expect(await at('operator', 37)).toBe('NOT_ALLOWED');
    expect(await at('operator', 35)).not.toBe('NOT_ALLOWED');
    expect(await at('crib', 745)).toBe('NOT_ALLOWED');
    expect(await at('owner', 745)).not.toBe('NOT_ALLOWED');
  });
  it('takes back at the machine what oneself signed, and else what one may do', async () => {
    await personIn('TO', 'operator');
    const tor: Signed = { ...as('operator'), who: 'TO' };
    const { entry } = await does(as('crib'), 'moveStock', {
      item: 'EM10',
      from: 'S1',
      to: 'USED',
      quantity: 1,
    });
    expect(await code(does(tor, 'counterEntry', { counters: entry }))).toBe('NOT_ALLOWED');
    const own = await does(tor, 'moveStock', { item: 'EM10', from: 'S1', to: 'USED', quantity: 1 });
    expect(await code(does(tor, 'counterEntry', { counters: own.entry }))).toBeNull();
    const place = await does(as('crib'), 'addPlace', { code: 'X1', name: 'X', kind: 'shelf' });
    expect(await code(does(as('planner'), 'counterEntry', { counters: place.entry }))).toBe('NOT_ALLOWED');
  });
  it('a key does what its role and its verbs say, and its name stands under it', async () => {
    const boss = await owner();
    const { answer } = await act('keys', { name: 'monitor', role: 'operator', verbs: ['moveStock'] }, boss);
    const key = (await whoSigns(crib, { key: answer.key }))!;
    await does(key, 'moveStock', { item: 'EM10', from: 'S1', to: 'USED', quantity: 1 });
    expect((await historyView(crib.db, VERBS))[0]).toMatchObject({ who: 'IK', keyName: 'monitor' });
    expect(await code(does(key, 'logParts', {}))).toBe('NOT_ALLOWED');
    // A key for one verb makes none for all, however high its role.
    await act('keys', { name: 'narrow', role: 'owner', verbs: ['moveStock'] }, boss).then(
      async ({ answer: narrow }) => {
        const signed = (await whoSigns(crib, { key: narrow.key }))!;
        const context = { crib, demo: false, slow, signed, address: 'a', device: 'd' };
        for (const [path, input] of [
          ['keys', { name: 'wide', role: 'owner' }],
          ['people/codes', { person: 'IK' }],
          ['people/badges', { person: 'IK' }],
        ] as const)
          expect([
            path,
            await code(
              runAct(
                context,
                ACTS.find((a) => a.path === path)!,
                input,
              ),
            ),
          ]).toEqual([path, 'NOT_ALLOWED']);
      },
    );
    expect(await code(does(key, 'addPlace', {}))).toBe('NOT_ALLOWED');
    expect(await code(act('keys', { name: 'monitor', role: 'owner' }, boss))).toBe('CONFLICT');
    await act('keys/end', { name: 'monitor' }, boss);
    expect(await whoSigns(crib, { key: answer.key })).toBeNull();
    const kept = await crib.db.query<{ t: string }>('select k::text as t from api_key k');
    expect(kept[0]!.t).not.toContain(answer.key!.slice(10));
  });
  it('the demo’s key is of full rights', async () => {
    await demoKey(crib, 'k'.repeat(32));
    await demoKey(crib, 'k'.repeat(32));
    expect(await whoSigns(crib, { key: 'k'.repeat(32) })).toMatchObject({ who: 'IK', role: 'owner' });
    expect(await crib.db.query('select 1 from api_key')).toHaveLength(1);
    expect(await whoSigns(crib, { key: digestOf('k'.repeat(32)) })).toBeNull();
  });
  it('only an owner takes somebody out who signs in, and the last owner stays', async () => {
    await personIn('TO', 'operator');
    const gone = { what: 'person', code: 'TO', inUse: 'no' };
    expect(await code(does(as('crib'), 'changeSetUp', gone))).toBe('NOT_ALLOWED');
    expect(await code(does(as('owner'), 'changeSetUp', gone))).toBeNull();
    await crib.do('addPerson', { initials: 'MS', name: 'Mira' });
    expect(await code(does(as('owner'), 'changeSetUp', { what: 'person', code: 'IK', inUse: 'no' }))).toBe(
      'REFUSED',
    );
    await owner();
    expect(await code(does(as('owner'), 'setRole', { person: 'IK', role: 'crib' }))).toBe('REFUSED');
  });
});

describe('a second person', () => {
  const ida: Signed = {
    who: 'IK',
    role: 'owner',
    session: { id: 1, person: 'IK', shared: false, handUntil: null },
    key: null,
  };
  const scrap = { item: 'EM10', from: 'S1', quantity: 1, reason: 'chipped' };
  it('confirms by PIN where the shop wants two, and stands beside the first', async () => {
    const tor = await personIn('TO', 'operator');
    await act('people/pin', { old: PHRASE, pin: '314159' }, tor);
    await act('people/pin', { old: PHRASE, pin: '271828' }, await owner());
    expect(await code(does(ida, 'scrapStock', scrap))).toBeNull();
    await crib.do('setSecondPerson', { writeOff: 'yes', deviation: 'no', settlement: 'no' });
    expect(await code(does(ida, 'scrapStock', scrap))).toBe('NOT_ALLOWED');
    expect(await code(does(ida, 'scrapStock', { ...scrap, second: { who: 'IK', pin: '271828' } }))).toBe(
      'NOT_ALLOWED',
    );
    expect(await code(does(ida, 'scrapStock', { ...scrap, second: { who: 'TO', pin: '000000' } }))).toBe(
      'NOT_SIGNED_IN',
    );
    expect(await code(does(ida, 'scrapStock', { ...scrap, second: 'TO' }))).toBe('INVALID_INPUT');
    await does(ida, 'scrapStock', { ...scrap, second: { who: 'TO', pin: '314159' } });
    expect((await historyView(crib.db, VERBS))[0]).toMatchObject({ who: 'IK', second: 'TO' });
    // Neither the PIN nor a trace of it is kept.
    const kept = await crib.db.query<{ t: string }>('select f::text as t from form_answer f');
    expect(kept.map((k) => k.t).join()).not.toContain('314159');
    expect(
      await code(does(ida, 'moveStock', { item: 'EM10', from: 'S1', to: 'USED', quantity: 1 })),
    ).toBeNull();
  });
});
