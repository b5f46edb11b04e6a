/** Runs once when the server starts: opens the crib, or ends the process with a message that says why not. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return;
  const { openOrEnd } = await import('./app/server/crib');
  await openOrEnd();
}
