// What is held here is common practice, from memory: a store that is full still lets its people in to read, and a sign-in
// that somebody ended is ended at once, whatever the disk says (OWASP ASVS 5, 7.4: sessions end at the server).
import { mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SESSION } from '@/core/people';
import { type Crib, perform } from '@/crib/door';
import { furnish, openFolder } from '@/crib/testing';
import { ACTS } from '@/crib/acts';
import { verbNamed } from '@/crib/verbs';
import { UnkeptSignIns } from '@/data/people';
import { codeFromConsole } from './first';
import { runAct } from './runAct';
import { Slow } from './slow';
import { peopleView } from './views/peopleView';
import { whoSigns } from './whoSigns';

const below = mkdtempSync(join(tmpdir(), 'stable-full-'));
const folder = join(below, 'data');
const PHRASE = 'three mild wolves';
const [FULL, ROOM] = [0, 10 ** 12];
let free = ROOM;
let clock = new Date('2027-01-05T08:00:00Z');
let crib: Crib & { unkept: UnkeptSignIns };
const slow = new Slow();

const act = async (path: string, input: object, token?: string | null) => {
  // Asked of every request, as the gate does.
  const signed = await whoSigns(crib, { token });
  const context = { crib, demo: false, slow, signed, address: '192.0.2.7', device: 'Firefox on Windows' };
  const found = ACTS.find((a) => a.path === path)!;
  return (await runAct(context, found, input)).token;
};
const does = (name: string, input: Record<string, unknown>) =>
  perform(crib, verbNamed(name)!, { who: 'IK', ...input });
const code = (c: Promise<unknown>) =>
  c.then(
    () => null,
    (e: { code?: string }) => e.code ?? String(e),
  );
const signedIn = async (token: string) => (await whoSigns(crib, { token }))?.who ?? null;
const written = async () => (await crib.db.query('select 1 from session')).length;

let before: string;
let other: string;
beforeAll(async () => {
  const db = await openFolder(folder, () => free);
  const now = () => clock;
  crib = { db, now, zone: 'Europe/Oslo', unkept: new UnkeptSignIns() };
  await furnish({ ...crib, at: () => undefined, do: does });
  await does('setRole', { person: 'IK', role: 'owner' });
});
beforeEach(async () => {
  free = ROOM;
  clock = new Date('2027-01-05T08:00:00Z');
  crib.unkept = new UnkeptSignIns();
  before = (await act('sign-in/code', { code: await codeFromConsole(crib, 'IK'), password: PHRASE }))!;
  other = (await act('sign-in', { who: 'IK', password: PHRASE }))!;
  free = FULL;
});
afterAll(async () => {
  await crib.db.close();
  rmSync(below, { recursive: true, force: true });
});
const comesIn = async () => (await act('sign-in', { who: 'IK', password: PHRASE }))!;

it('who was not signed in signs in on a full disk and reads; nothing is written, and a wrong password is wrong', async () => {
  const token = await comesIn();
  expect(await signedIn(token)).toBe('IK');
  expect(await written()).toBe(2);
  expect(await code(act('sign-in', { who: 'IK', password: 'three wild wolves' }))).toBe('NOT_SIGNED_IN');
  expect(await code(does('addPlace', { code: 'S9', name: 'Shelf', kind: 'shelf' }))).toBe('NO_ROOM');
  // Their own page lists it with the rest, and says which this one is.
  const view = await peopleView(crib, (await whoSigns(crib, { token }))!);
  expect(view.me!.sessions.map((s) => s.this)).toEqual([true, false, false]);
});

it('once there is room the sign-in is written down, and holds when Stable starts anew', async () => {
  const token = await comesIn();
  free = ROOM;
  // Two pages that ask at once write it once.
  expect(await Promise.all([signedIn(token), signedIn(token)])).toEqual(['IK', 'IK']);
  expect(await written()).toBe(3);
  crib.unkept = new UnkeptSignIns();
  expect(await signedIn(token)).toBe('IK');
  await act('sign-out', {}, token);
  expect(await signedIn(token)).toBeNull();
});

it('whoever signs out on a full disk is out, whenever they signed in', async () => {
  const token = await comesIn();
  await act('sign-out', {}, token);
  await act('sign-out', {}, before);
  expect([await signedIn(token), await signedIn(before)]).toEqual([null, null]);
  expect(await signedIn(other)).toBe('IK');
  free = ROOM;
  // Whatever is asked next writes it down.
  expect(await signedIn(other)).toBe('IK');
  expect(await written()).toBe(1);
  crib.unkept = new UnkeptSignIns();
  expect([await signedIn(token), await signedIn(before)]).toEqual([null, null]);
});

it('a password that is set anew once there is room ends the sign-ins of the full disk as well', async () => {
  const token = await comesIn();
  free = ROOM;
  const given = await codeFromConsole(crib, 'IK');
  const anew = (await act('sign-in/code', { code: given, password: PHRASE }))!;
  expect([await signedIn(token), await signedIn(before), await signedIn(anew)]).toEqual([null, null, 'IK']);
});

it('one’s other sign-ins are ended one by one or all at once, on a full disk too', async () => {
  const token = await comesIn();
  const { sessions } = (await peopleView(crib, (await whoSigns(crib, { token: other }))!)).me!;
  await act('people/sessions/end', { session: sessions[0]!.id }, other);
  expect(await signedIn(token)).toBeNull();
  await act('people/sessions/end', {}, other);
  expect([await signedIn(before), await signedIn(other)]).toEqual([null, 'IK']);
});

it('a sign-in that is not written down ends like any', async () => {
  const token = await comesIn();
  clock = new Date(clock.getTime() + SESSION.absolute * 1000);
  expect(await signedIn(token)).toBeNull();
  clock = new Date(clock.getTime() - 1000);
  expect(await signedIn(token)).toBeNull();
});

it('a sign-in that is used on a full disk does not end as one that nobody used, written down or not', async () => {
  const token = await comesIn();
  const later = async (seconds: number) => {
    clock = new Date(clock.getTime() + seconds * 1000);
    return [await signedIn(token), await signedIn(before)];
  };
  const step = SESSION.idle * 0.8;
  expect(await later(step)).toEqual(['IK', 'IK']);
  expect(await later(step)).toEqual(['IK', 'IK']);
  free = ROOM;
  expect(await later(1)).toEqual(['IK', 'IK']);
  // What is written says so too.
  crib.unkept = new UnkeptSignIns();
  expect(await later(step)).toEqual(['IK', 'IK']);
  free = FULL;
  expect(await later(SESSION.idle + 61)).toEqual([null, null]);
});

it('a folder that is gone lets nobody in: what is read there may be another’s', async () => {
  free = ROOM;
  renameSync(folder, `${folder}-moved`);
  const said = await code(comesIn());
  renameSync(`${folder}-moved`, folder);
  expect(said).toBe('FOLDER_GONE');
});

it('as many are held as a shop has screens, and the first goes for one more', () => {
  const unkept = new UnkeptSignIns();
  const begin = (tokenHash: string) =>
    unkept.begin({ tokenHash, person: 'IK', device: 'a program', begunAt: clock });
  begin('first');
  for (let i = 1; i < 500; i += 1) begin(`${i}`);
  expect(unkept.maybe('first')).not.toBeNull();
  begin('one more');
  expect([unkept.maybe('first'), unkept.maybe('1')?.person]).toEqual([null, 'IK']);
});
