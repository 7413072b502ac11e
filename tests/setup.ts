/** Screens are waited for longer than usual: a form fetches its schema when it is first sent, on a busy machine. */
if (typeof document !== 'undefined') {
  const { configure } = await import('@testing-library/dom');
  configure({ asyncUtilTimeout: 15_000 });
}
export {};
