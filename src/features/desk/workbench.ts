/** Works pieces out once per design, and remembers the last that could be built, by piece. */
import type { ShopView } from '@/contract/views';
import type { Issue } from '@/core/issue';
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
  constructor(shop: ShopView) {
    this.context = {
      settings: defaultSettings(shop.homeUnit),
      catalogue: catalogueOf(shop.lists),
      prices: shop.prices,
    };
  }

  of({ id, design }: DraftPiece): Shown {
    const before = this.last.get(id);
    if (before?.design === design) return before.shown;
    const result = workOut(design, this.context);
    const shown: Shown = result.ok
      ? { worked: result.value, issues: [] }
      : { worked: before?.shown.worked, issues: result.issues };
    this.last.set(id, { design, shown });
    return shown;
  }
}
