/** What every section of the desk is given. */
import type { ShopView } from '@/contract/views';
import type { Unit } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import type { DraftPiece } from './draft';
import type { Desk } from './use-desk';

export interface SectionProps {
  readonly shop: ShopView;
  readonly piece: DraftPiece;
  readonly worked: WorkedOut | undefined;
  readonly unit: Unit;
  /** Pieces of the order. */
  readonly pieces?: number;
  /** How many of them say they are of as many alike. */
  readonly alike?: number;
  readonly desk: Pick<Desk, 'type' | 'commit' | 'put' | 'build' | 'toRecord' | 'addPieces'>;
}

export const codeOf = (choice: { code: string } | { given: { code: string } }): string =>
  'code' in choice ? choice.code : choice.given.code;
