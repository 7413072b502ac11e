/** What is said of changes that wait for a connection. */
export const WAITING = {
  waits: (count: number) =>
    count === 1
      ? 'One change waits for the connection, and is sent once.'
      : `${count} changes wait for the connection, and are sent once each, in their order.`,
  letGo: 'Do not send',
  refused: 'What waited was not taken:',
  seen: 'Seen',
} as const;
