/** The longest list that is read, in bytes. */
export const LARGEST_LIST = 6_000_000;
/** The largest photo that is taken, in bytes. */
export const LARGEST_PHOTO = 25_000_000;
/** The longer side of a photo as it is kept, and of its small version, in pixels. */
export const PHOTO_SIDE = 2400;
export const SMALL_SIDE = 640;
/** The shorter side of a photo that shows anything, in pixels. */
export const SMALLEST_SIDE = 64;
/** In the answer to a command: what it touched, for the screen that gave it. */
export const TOUCHED_HEADER = 'x-lopren-touched';
