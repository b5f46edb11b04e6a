// npm start's own supervisor: starts the server as a process of its own, and again where it ends or is stuck.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { BEAT_MS } from './beat.mjs';
import { makeFolder } from './makeFolder.mjs';
import { printUnread } from './unread.mjs';
import { createStream } from 'rotating-file-stream';

const LIMITS = {
  /** Seconds without a beat after which it is stuck: more than the longest write that holds it up. */
  stuckS: 60,
  /** Memory of the whole process, MB, past which it is started anew: a server with room uses half of it. */
  megabytes: 1_500,
  /** Memory of its JavaScript, MB: past it the engine ends the process itself. */
  heapMegabytes: 768,
  /** Seconds it has to end once it is told to. */
  endS: 30,
};
/** Seconds to wait before the nth start in a row. */
export const backOff = (n) => Math.min(60, 2 ** Math.max(0, n - 1));
/** Seconds after which a start counts as a good one, and the next fault as the first. */
const GOOD_AFTER_S = 600;

/** The log beside the data: pieces of 1 MB, the last five of them. What the server prints holds no data of the shop. */
function openLog(data) {
  const folder = join(data, 'log');
  makeFolder(folder);
  const log = createStream('stable.log', { path: folder, size: '1M', maxFiles: 5 });
  // A full disk keeps no server from serving.
  log.on('error', () => undefined);
  return log;
}

/**
 * Runs `script` under supervision until it ends by itself or is told to; gives its code. `limits` and `wait` are for tests.
 */
export function supervise(script, { data, env = process.env, limits = {}, wait = (s) => s * 1000 } = {}) {
  const { stuckS, megabytes, heapMegabytes, endS } = { ...LIMITS, ...limits };
  const log = openLog(data);
  printUnread();
  const note = (words) => {
    console.error(words);
    log.write(`${new Date().toISOString()} supervisor: ${words}\n`);
  };
  return new Promise((resolve) => {
    let child = null;
    let ending = false;
    let faults = 0;
    let everReady = false;

    const start = () => {
      const begun = Date.now();
      let lastBeat = null;
      let killed = false;
      child = spawn(process.execPath, [`--max-old-space-size=${heapMegabytes}`, script, '--server'], {
        env,
        stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
      });
      for (const [from, to] of [
        [child.stdout, process.stdout],
        [child.stderr, process.stderr],
      ])
        from.on('data', (chunk) => {
          to.write(chunk);
          log.write(chunk);
        });
      const kill = (words) => {
        if (killed) return;
        killed = true;
        note(words);
        child.kill('SIGKILL');
      };
      child.on('message', ({ beat, rss }) => {
        if (!beat) return;
        everReady = true;
        lastBeat = Date.now();
        if (rss / 1e6 > megabytes) kill(`it takes ${Math.round(rss / 1e6)} MB of memory: started anew`);
      });
      // Before its first beat it opens and, after a crash, mends the database, which takes as long as it takes.
      let looked = Date.now();
      const watch = setInterval(() => {
        // This process itself slept (a laptop shut, a machine paused): then the server did too, and gets its time anew.
        const slept = Date.now() - looked > 3 * BEAT_MS;
        looked = Date.now();
        if (slept && lastBeat !== null) lastBeat = looked;
        if (lastBeat !== null && Date.now() - lastBeat > stuckS * 1000)
          kill(`it has not moved for ${stuckS} s: ended and started anew`);
      }, BEAT_MS);
      child.on('exit', (code, signal) => {
        clearInterval(watch);
        const done = (answer) => {
          log.end(() => resolve(answer));
          // A log that can't be written to never says that it has ended.
          setTimeout(resolve, 1_000, answer);
        };
        if (ending) return done(code ?? 1);
        // It never ran: what it printed says why, and another try would say the same.
        if (!everReady) return done(code ?? 1);
        faults = (Date.now() - begun) / 1000 > GOOD_AFTER_S ? 1 : faults + 1;
        const seconds = backOff(faults);
        note(`the server ended (${signal ?? `code ${code}`}); started again in ${seconds} s`);
        setTimeout(() => (ending ? done(1) : start()), wait(seconds));
      });
    };

    const end = (signal) => {
      if (ending) return;
      ending = true;
      child?.kill(signal);
      setTimeout(() => child?.kill('SIGKILL'), endS * 1000).unref();
    };
    process.on('SIGTERM', () => end('SIGTERM'));
    process.on('SIGINT', () => end('SIGINT'));
    start();
  });
}
