/** Percentiles of measured times, and how they are printed. */
export const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 0;

export function say(name: string, values: readonly number[], unit = 'ms'): void {
  const at = (share: number) => percentile(values, share).toFixed(3);
  process.stdout.write(
    `${name.padEnd(58)} median ${at(0.5)}  p95 ${at(0.95)}  p99 ${at(0.99)} ${unit}  (${values.length})\n`,
  );
}
export const sayOne = (name: string, value: string): void => void process.stdout.write(`${name.padEnd(58)} ${value}\n`);
