/** The face of a moulding as a curve: how far below its highest point, from the outer edge (0) to the sight edge (1). */
import type { Profile } from '../materials';

const curves: Readonly<Record<Profile, (t: number) => number>> = {
  flat: (t) => (t < 0.05 || t > 0.95 ? 0.08 : 0),
  box: () => 0,
  scoop: (t) => 0.55 * Math.sin(Math.PI * Math.min(1, t * 1.05)) ** 1.4,
  round: (t) => 0.55 * (1 - Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2))),
  cushion: (t) => 0.4 * Math.abs(2 * t - 1) ** 3,
  step: (t) => (t < 0.62 ? 0 : t < 0.86 ? 0.22 : 0.42),
  reverse: (t) => 0.5 * (1 - t) ** 1.3,
  ogee: (t) => 0.5 * (0.5 - 0.5 * Math.cos(Math.PI * t)) + 0.05 * Math.sin(6 * t),
};

/** Depth of the face below its highest point at `t`, as a share (0 to 1) of the wood over the rabbet. */
export const fall = (profile: Profile, t: number): number => Math.max(0, curves[profile](t));

/** How strongly the face turns to the light at `t`: above 0 towards the outer edge, below 0 towards the sight. */
export function slope(profile: Profile, t: number): number {
  const d = 0.02;
  return (fall(profile, Math.max(0, t - d)) - fall(profile, Math.min(1, t + d))) / (2 * d);
}
