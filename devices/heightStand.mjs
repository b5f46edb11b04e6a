// A simulated height stand, its own process: node devices/heightStand.mjs [--port 4401] [--drift 0.004] [--faults none,garbled,far]
// Its dial stands against a block; it answers what the dial shows, a line at a time over TCP (docs/formats.md). No real one is
// imitated.
import { serve } from './stand-in.mjs';

serve('height stand', '4401', ({ length, block, own, drift, noise, isFar }) => {
  const against = block ?? 100;
  return `H=${(length + own + drift + noise() - against + (isFar ? 45 : 0)).toFixed(4)} B=${against.toFixed(4)}`;
});
