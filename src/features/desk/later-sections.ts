/** The sections that nobody sees before a first touch, in one file to be fetched. */
export { MatSection } from './mat-section';
export { BackSection, FrameSection, GlassSection, InsistsSection } from './sections';
