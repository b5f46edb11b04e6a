// Starts the user's own server on a folder that is empty each time.
import { rmSync } from 'node:fs';

rmSync(process.env.STABLE_DATA, { recursive: true, force: true });
await import('../scripts/start.mjs');
