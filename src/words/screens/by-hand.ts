/** The mat moved by hand on its drawing. */
import type { Layout } from '@/core/design/several';
import type { Side } from '@/core/design/pulled';

const SIDES: Readonly<Record<Side, string>> = { left: 'Left', right: 'Right', top: 'Upper', bottom: 'Lower' };

export const BY_HAND = {
  head: 'Mat by hand',
  close: 'Back',
  layout: 'Windows',
  layouts: {
    one: 'One window',
    row: 'Row',
    column: 'Column',
    grid: 'Grid',
    'large and small': 'One large, others beside it',
    'over plate': 'Window over a plate',
    free: 'Freely',
  } satisfies Readonly<Record<Layout, string>>,
  evenAcross: 'Even across',
  evenDown: 'Even down',
  window: (number: number, name: string) =>
    `Window ${number}${name ? `, ${name}` : ''}: arrow keys move it, Delete takes it out`,
  picture: 'Part that is seen: arrow keys move the picture under the window',
  edge: (side: Side, size: string) => `${SIDES[side]} edge of the window, ${size}: arrow keys pull it`,
  border: (side: Side, size: string) => `${size}: ${SIDES[side].toLowerCase()} border, arrow keys pull it`,
  say: 'Pull a border by its figure, a window by its edges.',
  saySeveral: 'Windows catch in line, a bridge apart and at even gaps. Shift with an arrow key moves ten times as far.',
  none: 'There is no mat in it.',
  unread: 'A measure is missing or cannot be read: the drawing is of the last one that could.',
} as const;
