// The settings a start reads from the environment, checked with messages that say what to do.
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { createSecureContext } from 'node:tls';
import { join, resolve } from 'node:path';
import { makeFolder } from './makeFolder.mjs';
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

/** Whether only this machine reaches a host. */
export const isThisMachine = (host) => host === 'localhost' || host === '::1' || /^127\./.test(host);

/** How it is reached: its own certificate, or the address of a proxy before it; plain HTTP beyond this machine only if asked. */
function readNetwork(env, { host, demo }) {
  if (demo && !isThisMachine(host))
    throw new BadSetting(
      `STABLE_HOST is “${host}”: anybody signs in to the demo as anybody, so it only ever serves this machine. Unset it.`,
    );
  const [certFile, keyFile] = [env.STABLE_CERT, env.STABLE_CERT_KEY];
  if (Boolean(certFile) !== Boolean(keyFile))
    throw new BadSetting(
      'STABLE_CERT and STABLE_CERT_KEY go together: the certificate’s file and that of its key.',
    );
  let cert = null;
  if (certFile && keyFile) {
    try {
      cert = { cert: readFileSync(certFile), key: readFileSync(keyFile) };
      createSecureContext(cert);
    } catch (error) {
      throw new BadSetting(
        `The certificate ${certFile} with the key ${keyFile} can’t be used: ${error.message}. PEM files that belong together are needed.`,
      );
    }
  }
  let url = null;
  if (env.STABLE_URL !== undefined) {
    url = URL.canParse(env.STABLE_URL) ? new URL(env.STABLE_URL) : null;
    if (!url || !['http:', 'https:'].includes(url.protocol) || url.pathname !== '/' || url.search)
      throw new BadSetting(
        `STABLE_URL is “${env.STABLE_URL}”: the address that people call is needed, such as https://stable.example.`,
      );
  }
  if (!isThisMachine(host) && !cert && env.STABLE_PLAIN_HTTP !== 'yes')
    throw new BadSetting(
      `STABLE_HOST is “${host}”: beyond this machine passwords would go over the network unencrypted. Set STABLE_CERT and STABLE_CERT_KEY, or put a proxy with HTTPS before it (STABLE_URL), or say STABLE_PLAIN_HTTP=yes if the network is yours alone.`,
    );
  const proxies = (env.STABLE_PROXY ?? '').split(',').flatMap((said) => said.trim() || []);
  const none = proxies.find((said) => !isIP(said));
  if (none !== undefined)
    throw new BadSetting(
      `STABLE_PROXY names “${none}”: addresses such as 192.0.2.7 are needed, with commas between.`,
    );
  return { cert, url, proxies };
}

/** Port, host, folder, zone and, on a demo folder, the time it pretends; how it is reached; throws BadSetting. */
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
  const { cert, url, proxies } = readNetwork(env, { host, demo });
  const key = env.STABLE_DEMO_KEY;
  if (key !== undefined && !demo)
    throw new BadSetting(
      'STABLE_DEMO_KEY opens demo folders only. Unset it; an owner makes keys on the page People.',
    );
  if (key !== undefined && !/^[A-Za-z0-9_-]{32,200}$/.test(key))
    throw new BadSetting(
      'STABLE_DEMO_KEY is too short, or has other signs: 32 to 200 letters, digits, - and _ are needed.',
    );
  try {
    makeFolder(data);
  } catch (error) {
    throw new BadSetting(
      `The data folder ${data} cannot be made: ${error.message}. Set STABLE_DATA to one that can.`,
    );
  }
  return { port, host, data, zone, demo, now: env.STABLE_NOW, cert, url, proxies };
}
