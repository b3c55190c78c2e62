/** Opens the database when the server starts, so that a folder in use is told at once and not at the first page. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === 'nodejs' && process.env.NEXT_PHASE !== 'phase-production-build') {
    const { startServer } = await import('./server/start');
    await startServer();
  }
}
