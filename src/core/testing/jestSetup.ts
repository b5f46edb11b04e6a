import { TextDecoder, TextEncoder } from 'node:util';
// Away from UTC, so that a time shown in the wrong zone fails.
process.env.TZ = 'America/St_Johns';
// What every browser has and the simulated one lacks.
if (typeof globalThis.TextEncoder === 'undefined') Object.assign(globalThis, { TextEncoder, TextDecoder });
