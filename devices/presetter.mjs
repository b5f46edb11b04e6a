// A simulated presetter, its own process: node devices/presetter.mjs [--port 4400] [--drift 0.004] [--faults none,garbled,far]
// Stable asks it over TCP on this machine, a line at a time (docs/formats.md). No real device is imitated.
import { serve } from './stand-in.mjs';

serve('presetter', '4400', ({ length, diameter, isMaster, own, drift, noise, isFar }) => {
  const L = length + drift + own + noise() + (isFar ? 900 : 0);
  const D = diameter === null ? '-' : (diameter - 0.004 + noise()).toFixed(4);
  const R = isMaster ? '-' : (0.004 + Math.abs(noise()) * 2).toFixed(4);
  return `L=${L.toFixed(4)} D=${D} R=${R}`;
});
