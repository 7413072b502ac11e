/** The screen that this tab shows its desk on; kept from one order to the next. */
const KEY = 'lopren.screen';
export const keptScreen = (): string | null => sessionStorage.getItem(KEY);
export const keepScreen = (screen: string | null): void =>
  screen === null ? sessionStorage.removeItem(KEY) : sessionStorage.setItem(KEY, screen);
