/** What is wrong with a cutting plan that was handed in. */
import type { PlanCheckIssue } from '@/core/issue-codes';
import { type Sentences } from './sentence';

export const CHECKS: Sentences<PlanCheckIssue> = {
  'bar-empty': ({ f }) => `Nothing is cut from ${f.source}.`,
  'sheet-empty': ({ f }) => `Nothing is cut from ${f.source}.`,
  'legs-too-close': ({ f }) => `There is no room for the cut before ${f.leg}.`,
  'leg-outside': ({ f }) => `${f.leg} reaches into the trimmed end of its stick.`,
  'leg-in-no-go': ({ f }) => `${f.leg} lies over a dent.`,
  'leg-unknown': ({ f }) => `${f.leg} is not wanted.`,
  'leg-wrong-profile': ({ f }) => `${f.leg} is cut from another moulding.`,
  'leg-twice': ({ f }) => `${f.leg} is cut twice.`,
  'frame-not-whole': ({ f }) => `${f.frame} has ${f.there} of its ${f.of} legs.`,
  'frame-twice': () => 'A frame is named twice among those that are not made.',
  'source-unknown': ({ f }) => `${f.source} is not there.`,
  'source-used-up': ({ f }) => `${f.source} is used more often than it is there.`,
  'offcut-untrue': () => 'What is left is not what the plan says.',
  'offcut-too-small': ({ f }) => `What is left, ${f.w} × ${f.h} mm, is too small to keep.`,
  'cut-not-through': () => 'A cut does not go from edge to edge.',
  'break-too-narrow': ({ f }) => `A cut leaves a strip of ${f.first} or ${f.rest} mm that cannot be broken off.`,
  'part-turned': ({ f }) => `${f.part} is turned, and its material may not be.`,
  'part-not-cut': ({ f }) => `The cuts do not free ${f.name}.`,
  'part-unknown': ({ f }) => `${f.part} is not wanted.`,
  'part-wrong-material': ({ f }) => `${f.part} is cut from another material.`,
  'part-twice': ({ f }) => `${f.part ?? 'A part'} is there twice.`,
  'part-missing': ({ f }) => `${f.part} is missing.`,
  'cost-untrue': () => 'The plan does not cost what it says.',
  'bound-above-cost': () => 'The bound lies above the cost.',
};
