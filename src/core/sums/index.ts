/** Every sum that can be asked for by itself. A new one is an entry here. */
import type { Topic } from './sum';
import { builds } from './topics/builds';
import { cautions } from './topics/cautions';
import { depth, fitting, fixings, hanging, jobs, joiningTopic, screwsAndPins, weight } from './topics/depths';
import {
  borders,
  customersFrame,
  frameInFrameAndFillet,
  legsAndLengthCharged,
  polygons,
  sameOutsideSize,
  sawErrors,
  sizeChain,
} from './topics/frames';
import { ledger } from './topics/ledger';
import { lengths } from './topics/lengths';
import { hiddenSpacer, markingOuts, mats, severalWindows, standard, turnedEdges } from './topics/mats';
import { prices } from './topics/prices';
import { asBuilts, batches, shopMades } from './topics/workshop';

export const TOPICS: Readonly<Record<string, Topic>> = {
  lengths,
  'size-chain': sizeChain,
  'legs-and-length-charged': legsAndLengthCharged,
  mats,
  borders,
  'hidden-spacer': hiddenSpacer,
  'several-windows': severalWindows,
  'turned-edge': turnedEdges,
  'marking-out': markingOuts,
  'frame-in-frame-and-fillet': frameInFrameAndFillet,
  polygons,
  'saw-error': sawErrors,
  'standard-sizes': standard,
  'customers-frame': customersFrame,
  'same-outside-size': sameOutsideSize,
  builds,
  depth,
  weight,
  hanging,
  joining: joiningTopic,
  fitting,
  'screws-and-pins': screwsAndPins,
  fixings,
  jobs,
  batches,
  'as-built': asBuilts,
  'shop-made': shopMades,
  prices,
  ledger,
  cautions,
};
export { sumUp } from './sum';
