// The settings a start reads from the environment, checked with messages that say what to do.
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join, resolve } from 'node:path';
import { ROOT } from './prepare.mjs';

/** A setting that can't be used. */
export class BadSetting extends Error {}

export const DEMO_FOLDER = join(ROOT, '.stable', 'demo');
export const OWN_FOLDER = join(ROOT, '.stable', 'data');

/** What a demo folder says of itself; null: it is no demo folder. */
export function demoMark(folder) {
  const path = join(folder, 'demo.json');
  if (!existsSync(path)) return null;
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return { complete: false };
  }
}

/** Says of a folder that it is a demo's, and whether it is filled: whole or not at all, whenever it is killed. */
export function markDemo(folder, complete) {
  const path = join(folder, 'demo.json');
  writeFileSync(`${path}.part`, JSON.stringify({ begun: new Date().toISOString(), complete }));
  renameSync(`${path}.part`, path);
}

/** Port, host, folder, zone and, on a demo folder, the time it pretends; throws BadSetting. */
export function readSettings(env, { demo = false, folder = undefined } = {}) {
  const portText = env.PORT ?? '3000';
  const port = Number(portText);
  if (!/^\d{1,5}$/.test(portText) || port < 1 || port > 65535)
    throw new BadSetting(`PORT is “${portText}”: a whole number from 1 to 65535 is needed.`);
  const host = env.STABLE_HOST ?? '127.0.0.1';
  if (!isIP(host) && !/^[a-z0-9]([a-z0-9.-]*[a-z0-9])?$/i.test(host))
    throw new BadSetting(`STABLE_HOST is “${host}”: an address or a host name is needed.`);
  const data = resolve(folder ?? env.STABLE_DATA ?? OWN_FOLDER);
  if (env.STABLE_DATA === '')
    throw new BadSetting('STABLE_DATA is set but empty: name a folder, or unset it.');
  const zone = env.STABLE_ZONE ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
  } catch {
    throw new BadSetting(`STABLE_ZONE is “${zone}”: an IANA zone such as Europe/Oslo is needed.`);
  }
  const mark = demoMark(data);
  if (!demo && mark)
    throw new BadSetting(
      `${data} is a demo folder. Set STABLE_DATA to a folder of your own; the demo is started by npm run demo.`,
    );
  if (demo && !mark?.complete)
    throw new BadSetting(`${data} is no complete demo folder. Start over with npm run demo -- --fresh.`);
  if (env.STABLE_NOW !== undefined) {
    if (!demo)
      throw new BadSetting(
        'STABLE_NOW is for demo folders only: a real crib runs on the real time. Unset it.',
      );
    if (Number.isNaN(Date.parse(env.STABLE_NOW)))
      throw new BadSetting(`STABLE_NOW is “${env.STABLE_NOW}”: an ISO time is needed.`);
  }
  try {
    mkdirSync(data, { recursive: true });
  } catch (error) {
    throw new BadSetting(
      `The data folder ${data} cannot be made: ${error.message}. Set STABLE_DATA to one that can.`,
    );
  }
  return { port, host, data, zone, demo, now: env.STABLE_NOW };
}
