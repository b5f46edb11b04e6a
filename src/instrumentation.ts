/** Runs once when the server starts: opens the crib, or ends the process with a message that says why not. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return;
  const { crib } = await import('./app/server/crib');
  try {
    await crib();
  } catch (error) {
    // Next would stay up and answer 500 to everything.
    console.error(`Stable did not start: ${(error as Error).message}`);
    process.exit(1);
  }
}
