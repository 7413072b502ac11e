/** Works pieces out once per design, and remembers the last that could be built, by piece. */
import type { OrderView, ShopView } from '@/contract/views';
import { type Issue, good } from '@/core/issue';
import { catalogueOf } from '@/core/materials';
import { defaultSettings } from '@/core/settings';
import { type WorkOutContext, type WorkedOut, workOut } from '@/core/work-out';
import type { DraftPiece } from './draft';

export interface Shown {
  /** The last design that could be worked out. */
  readonly worked: WorkedOut | undefined;
  /** Why the present one cannot, when it cannot. */
  readonly issues: readonly Issue[];
}

export class Workbench {
  private readonly last = new Map<string, { design: unknown; shown: Shown }>();
  private readonly context: WorkOutContext;
  /** `agreed`: pieces of an order that is changed; one that is not costs what was agreed, whatever the books say. */
  constructor(
    shop: ShopView,
    private readonly agreed: OrderView['pieces'] = [],
  ) {
    this.context = {
      settings: defaultSettings(shop.homeUnit),
      catalogue: catalogueOf(shop.lists),
      prices: shop.prices,
    };
  }

  of({ id, design }: DraftPiece): Shown {
    const before = this.last.get(id);
    if (before?.design === design) return before.shown;
    const same = this.agreed.find((piece) => piece.design === design)?.agreed;
    const result = same ? good(same) : workOut(design, this.context);
    const shown: Shown = result.ok
      ? { worked: result.value, issues: [] }
      : { worked: before?.shown.worked, issues: result.issues };
    this.last.set(id, { design, shown });
    return shown;
  }
}
