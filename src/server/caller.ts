/** Where a request came from, as the front in this program tells it. */
export interface Caller {
  readonly address: string;
  readonly cookie: string | undefined;
  readonly device: string | undefined;
}
