/**
 * A frame bought whole, of a size of its own: mats are cut to it, its glass and its back come with it, its own tabs
 * close it. Source: handbook, jobs, "Scope of supply"; sizes, "Standard sizes".
 */
import { issue } from '../issue';
import type { ReadyMade } from '../materials';
import { fits, fitted } from '../sizing/borders';
import { frameSizes } from '../sizing/frame';
import type { Size } from '../units/length';
import { WorkingsLog } from '../working';
import type { Layer, LayUp, ResolvedPiece } from './build';
import { matted } from './matting';

/** How a mat is fitted to a frame that is there when nobody chose: heavier below where the frame lets it, else centred. */
export function usualFit(job: ResolvedPiece, pack: Size): 'centred' | 'bottom-heavy' {
  if (job.design.border.mode === 'equal') return 'centred';
  const open = matted({ ...job, log: new WorkingsLog(false) })?.opening;
  if (!open) return 'centred';
  return fits(fitted(pack, open, 'bottom-heavy'), 'bottom-heavy') ? 'bottom-heavy' : 'centred';
}

/** The piece as it goes into the frame: its mat is cut to the frame's size. */
export function fittedTo<J extends ResolvedPiece>(job: J, { size }: ReadyMade): J {
  if (job.design.mats.length === 0) return job;
  const { border } = job.design;
  const how = border.mode === 'fit' ? border.how : usualFit(job, size);
  return { ...job, design: { ...job.design, border: { mode: 'fit', package: size, how } } };
}

const SIZED = ({ w, h }: Size) => ({ frameW: w, frameH: h });
const COMES: readonly Layer['part'][] = ['glazing', 'backing'];
/** The lay-up with its frame bought: no legs, nothing fastened that it does not fasten itself. */
export function inReadyMade(laid: LayUp, job: ResolvedPiece, readyMade: ReadyMade): LayUp {
  const outer = laid.frames.at(-1);
  if (!outer?.rabbet || laid.pairs || outer.package !== laid.package)
    return { ...laid, issues: [...(laid.issues ?? []), issue('ready-made-not-here', {}, 'frame.readyMade')] };
  const { w, h } = laid.package;
  if (w > readyMade.size.w || h > readyMade.size.h)
    return {
      ...laid,
      issues: [
        ...(laid.issues ?? []),
        issue('ready-made-small', { w, h, ...SIZED(readyMade.size) }, 'frame.readyMade'),
      ],
    };
  const round = frameSizes(readyMade.size, job.design.frame.allowance, readyMade.moulding, job.log);
  return {
    ...laid,
    frames: [...laid.frames.slice(0, -1), { ...outer, ...round, legs: [] }],
    layers: laid.layers.map((layer) => (COMES.includes(layer.part) ? { ...layer, comes: true } : layer)),
    packageMost: readyMade.size,
    held: 'nothing',
    readyMade,
  };
}
