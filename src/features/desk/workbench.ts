/** Works pieces out once per design, and remembers the last that could be built, by piece. */
import type { OrderView, ShopView } from '@/contract/views';
import { type Issue, good } from '@/core/issue';
import { type DefaultMaterials, type Design, newDesign } from '@/core/design/design';
import { apply, read, set } from '@/core/design/edit';
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

/** One refusal may hide another; more than a few are not undone one after another. */
const ROUNDS = 3;
/** The part of a design that a refusal is of: one figure where a part has several, else all of it. */
const PARTED = new Set(['own', 'frame', 'piece', 'window', 'hanging']);
function keysOf(path: string): string[] {
  const [first, second] = path.split('.');
  return PARTED.has(first!) && second !== undefined ? [first!, second] : [first!];
}

export class Workbench {
  private readonly last = new Map<string, { design: Design; shown: Shown; good: Design | undefined }>();
  private readonly defaults: DefaultMaterials;
  private readonly context: WorkOutContext;
  /** `agreed`: pieces of an order that is changed; one that is not costs what was agreed, whatever the books say. */
  constructor(
    shop: ShopView,
    private readonly agreed: OrderView['pieces'] = [],
  ) {
    this.defaults = shop.defaults;
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
      : { worked: this.without(result.issues, design, before?.good) ?? before?.shown.worked, issues: result.issues };
    this.last.set(id, { design, shown, good: result.ok ? design : before?.good });
    return shown;
  }

  /**
   * The design with what was refused as it last was, or as the shop has it: everything else that is typed goes on
   * working. Undefined where that cannot be built either.
   */
  private without(issues: readonly Issue[], design: Design, good: Design | undefined): WorkedOut | undefined {
    const { settings } = this.context;
    let tried = design;
    let wrong = issues;
    for (let round = 0; round < ROUNDS; round += 1) {
      const { width, height } = tried.piece;
      const before = good ?? { ...newDesign(settings, this.defaults, width, height), build: tried.build, own: {} };
      const paths = wrong.flatMap(({ path }) => (path ? [keysOf(path)] : []));
      const mended = paths.reduce((one, path) => apply(one, set(one, path, read(before, path))), tried);
      if (mended === tried) return undefined;
      const result = workOut(mended, this.context);
      if (result.ok) return result.value;
      [tried, wrong] = [mended, result.issues];
    }
    return undefined;
  }
}
