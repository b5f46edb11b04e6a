/** How far a job's operation is, from planned to done. */
export const STAGES = [
  'planned',
  'programmed',
  'kit ready',
  'proved',
  'running',
  'made',
  'closed',
  'cancelled',
] as const;
export type Stage = (typeof STAGES)[number];

/** What is known of an operation that says how far it is. */
export interface Progress {
  state: 'open' | 'closed' | 'cancelled';
  quantity: number;
  partsMade: number;
  hasProgram: boolean;
  /** Tools that may run, of how many it calls. */
  ready: number;
  tools: number;
  /** 'proved' was signed, and nothing it leans on has changed since. */
  proved: boolean;
}

/**
 * How far an operation is: the furthest that holds now, so that a program changed after it was proved takes it back to
 * 'kit ready'. 'running' says that parts were logged, 'kit ready' that every tool may run by the judgement of use.
 * Example: 3 of 20 made: running.
 */
export function stageOf(p: Progress): Stage {
  if (p.state !== 'open') return p.state;
  if (p.partsMade >= p.quantity) return 'made';
  if (p.partsMade > 0) return 'running';
  if (!p.hasProgram) return 'planned';
  if (p.proved) return 'proved';
  return p.tools > 0 && p.ready === p.tools ? 'kit ready' : 'programmed';
}
