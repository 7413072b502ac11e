/** Runs once when the server starts: opens the database before the first request, and says clearly why it cannot. */
export async function register() {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { startHouse } = await import('./server/start');
  await startHouse();
}
