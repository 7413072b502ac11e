/** What a piece has and has not, read off its result: what steps may speak of. */
import { BUILDS, CLOTH, mountOf } from '../builds';
import type { Hardware, LayerPart } from '../builds/build';
import type { Design } from '../design/design';
import { type Scoped, scoped } from '../jobs/scope';
import { type Practice, practiceOf } from '../parts/practice';
import type { Settings } from '../settings';
import type { WorkedOut } from '../work-out';
import type { Thing } from './line';

const SHEDS: readonly string[] = ['pastel', 'charcoal', 'chalk'];

export class Has {
  readonly design: Design;
  readonly scope: Scoped;
  readonly practice: Practice;
  constructor(
    readonly worked: WorkedOut,
    readonly settings: Settings,
  ) {
    this.design = worked.resolved.design;
    this.scope = scoped(this.design.scope, this.design.build);
    this.practice = practiceOf(settings.practice, this.design.practice);
  }

  get build() {
    return BUILDS[this.design.build];
  }
  /** A frame that is made here. */
  get framed(): boolean {
    return this.scope.frame && this.worked.sizes.frames.length > 0;
  }
  /** The back is covered or taped over here: a floater, a bare canvas or a see-through piece has none. */
  get backSealed(): boolean {
    const covered = this.worked.parts.some((part) => part.kind === 'flat' && part.part === 'dust cover');
    return (
      this.assembledHere &&
      this.scope.closed &&
      (covered || this.item('sealing tape') !== undefined || this.practice.back === 'tape only')
    );
  }
  /** A frame goes round it, made here or the customer's. */
  get inFrame(): boolean {
    return this.framed || this.keeps;
  }
  get keeps(): boolean {
    return this.build.keepsFrame === true || this.design.scope === 'refit';
  }
  get sections(): boolean {
    return this.framed && this.worked.parts.some((part) => part.kind === 'strip' && part.part === 'section');
  }
  get mount() {
    return mountOf(this.design);
  }
  get cloth(): boolean {
    return CLOTH.includes(this.design.piece.kind);
  }
  /** It would shed, or be pressed, if it were laid on its face. */
  get faceUpOnly(): boolean {
    return SHEDS.includes(this.design.piece.kind) || this.design.piece.thickPaint === true;
  }
  layer(...parts: readonly LayerPart[]): boolean {
    return this.worked.stack.layers.some((layer) => parts.includes(layer.part));
  }
  get glazed(): boolean {
    return this.layer('glazing', 'pane', 'mirror');
  }
  get assembledHere(): boolean {
    return this.scope.assembled === 'shop';
  }
  item(item: Hardware['item']): Hardware | undefined {
    return this.worked.hardware.find((one) => one.item === item);
  }
  count(item: Hardware['item']): number {
    return this.item(item)?.count ?? 0;
  }
  /** How the package is held; of what was agreed before it was told, by what was counted. */
  get holding() {
    return this.worked.holding ?? (this.count('flexible point') > 0 ? 'points' : 'own');
  }
  get hanging() {
    return this.scope.hung ? this.worked.hanging : undefined;
  }

  /** Everything it has, as lines name it. */
  get things(): ReadonlySet<Thing> {
    const { worked, hanging } = this;
    const has: readonly (readonly [Thing, boolean])[] = [
      ['frame', this.inFrame],
      ['cut legs', this.framed && worked.parts.some((part) => part.kind === 'leg')],
      ['sections', this.sections],
      ['glass', this.glazed],
      ['mat', worked.sizes.matted !== undefined],
      ['back', this.layer('backing')],
      ['hinges', this.count('hinge') + this.count('tape hinge') > 0],
      ['hangers', hanging !== undefined],
      ['wire', hanging?.by === 'wire' && !hanging.noWire],
      ['strips', worked.parts.some((part) => part.kind === 'strip')],
      ['canvas', this.design.piece.kind === 'canvas'],
      ['cloth', this.cloth || this.design.build === 'fabric' || this.design.build === 'garment'],
      ['turning over', !this.faceUpOnly],
    ];
    return new Set(has.flatMap(([thing, there]) => (there ? [thing] : [])));
  }
}
