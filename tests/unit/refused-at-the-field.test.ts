/** What is refused is worked out without it: everything else that is typed goes on working, also after a reload. */
import { describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { inches } from '@/core/units/length';
import { refusedOf } from '@/features/desk/refused-at';
import { Workbench } from '@/features/desk/workbench';
import { exampleDesign, shopView } from '../shop';

const panes = (own: Design['own'], over: Partial<Design> = {}): Design =>
  exampleDesign({ build: 'glass-sandwich', mats: [], own: { innerSpacers: true, ...own }, ...over });
const at = (design: Design) => ({ id: 'one', design, typed: {} });

describe('a figure that is refused', () => {
  it('is named by its field, while the rest is worked out with the last that was good', () => {
    const bench = new Workbench(shopView);
    const good = bench.of(at(panes({ innerDepth: inches(0, 1, 4) })));
    expect(good.issues).toEqual([]);
    const wrong = panes({ innerDepth: inches(0, 1, 4), innerWidth: inches(1) });
    const refused = bench.of(at(wrong));
    expect(refusedOf(refused).map(({ path }) => path)).toContain('own.innerWidth');
    expect(refused.worked!.sizes.outside).toEqual(good.worked!.sizes.outside);
    // Another field goes on working.
    const wider = bench.of(at({ ...wrong, piece: { ...wrong.piece, width: inches(20) } }));
    expect(wider.worked!.sizes.package.w).toBe(inches(20));
    expect(wider.issues.length).toBeGreaterThan(0);
  });

  it('is left out where nothing was good before: a page that was opened again', () => {
    const shown = new Workbench(shopView).of(at(panes({ innerWidth: inches(1) })));
    expect(shown.worked).toBeDefined();
    expect(refusedOf(shown)).toHaveLength(1);
  });
});
