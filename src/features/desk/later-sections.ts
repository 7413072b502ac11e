/** The sections that nobody sees before a first touch, in one file to be fetched. */
export { BuildFields } from './build-fields';
export { ExtrasSection } from './extras-section';
export { FrameSection } from './frame-section';
export { MatSection } from './mat-section';
export { BackSection, GlassSection, InsistsSection } from './sections';
