/**
 * What an open quote stands for. While it holds and the books have moved on, its materials cost what they cost the day
 * it was quoted; after that, what they cost today.
 */
import type { Design } from '@/core/design/design';
import type { OrderRow, PieceRow } from '@/db/queries/orders';

export interface Standing {
  readonly designs: readonly (Pick<PieceRow, 'id' | 'letter' | 'others'> & { readonly design: Design })[];
  /** Prices of an earlier edition are held. */
  readonly held: boolean;
  /** The quote ran out. */
  readonly expired: boolean;
}

export function standing(order: OrderRow, pieces: readonly PieceRow[], edition: number, today: string): Standing {
  const open = order.state === 'quoted';
  const expired = open && today > order.quote_until;
  const held = open && !expired && order.edition !== edition;
  const designs = pieces.map(({ id, design, quoted, letter, others }) => ({
    id,
    design: held ? quoted : design,
    letter,
    others: others.map((other) => ({ ...other, design: (held && other.quoted) || other.design })),
  }));
  return { designs, held, expired };
}
