/** Runs once when the server starts: opens the database, loads the demo on the first start, and closes it cleanly at the end. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { start } = await import('./server/start');
  await start();
}
