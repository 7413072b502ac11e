/** Moments as the screen's clock has them, and amounts of data. */
export const bytesText = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** The time as the screen's clock has it. */
export const timeText = (moment: string): string =>
  new Date(moment).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** Day and time as the screen's clock has them. */
export function momentText(moment: string): string {
  const date = new Date(moment);
  const day = date.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
  return `${day}, ${timeText(moment)}`;
}
