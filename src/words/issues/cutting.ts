/** What is wrong with a request for a cutting plan. */
import type { CuttingIssue } from '@/core/issue-codes';
import { type Sentences } from './sentence';

export const CUTTING: Sentences<CuttingIssue> = {
  'cut-name-twice': ({ f }) => `“${f.id}” stands there twice. Each needs a name of its own.`,
  'cut-profile-unknown': ({ f }) => `“${f.id}” is not among the materials of this request.`,
  'cut-leg-too-long': ({ f }) => `A leg of ${f.leg} mm is longer than any stick (${f.most} mm between the trims).`,
  'cut-part-too-large': ({ f }) => `${f.w} × ${f.h} mm is larger than any sheet there is.`,
  'cut-too-little': ({ f }) => `There is too little of ${f.profile} for it.`,
  'cut-leg-unknown': ({ f }) => `${f.leg} is not in this plan.`,
  'cut-part-unknown': ({ f }) => `${f.part} is not cut by this plan, or was spoiled before.`,
  'cut-other-moulding': ({ f }) => `${f.leg} is of another moulding than ${f.profile}.`,
  'cut-no-room': ({ f }) => `${f.leg} does not find room on ${f.source}; nothing was moved.`,
  'cut-stopped': () => 'The work on the plan broke off. It was started anew; ask again.',
  'budget-wrong': ({ f }) => `“${f.read}” is not a time for a plan. Expected whole milliseconds from 1 to ${f.most}.`,
  'rack-height': () => 'A sheet has a width and a height; a stick has a length only.',
  'rack-zone': ({ len }) => `From ${len('from')} to ${len('to')} is not a stretch of a piece ${len('length')} long.`,
  'rack-gone': ({ f }) => `${f.code || 'This piece'} is not on the rack any more.`,
  'plan-rack-changed': ({ f }) =>
    `The rack or the jobs have changed since this plan was made (${f.what}). It is planned again with what is there now.`,
  'plan-wrong': () => 'This plan cannot be cut as it is. Plan again.',
  'plan-empty': () => 'There is nothing to cut in this plan.',
  'plan-unknown': () => 'There is no such plan, or it was undone.',
  'plan-not-latest': ({ f }) => `Plan ${f.number} is not the latest; only the latest can be undone.`,
  'plan-offcut-gone': ({ f }) => `${f.code} came from plan ${f.number} and is not on the rack any more.`,
  'plan-begun': ({ f }) => `Plan ${f.number} has begun: ${f.part} was cut and spoiled. It cannot be undone.`,
  'spoil-two-sizes': ({ len }) =>
    `What is left of a sheet has two sizes, width × height; the part was ${len('w')} × ${len('h')}.`,
  'spoil-too-long': ({ len }) => `${len('left')} is more than the spoiled part was (${len('was')}).`,
  'machine-empty': () => 'The file holds nothing to cut.',
  'machine-not-dxf': () => 'This is not a DXF file with cuts in it.',
  'machine-entity': ({ f }) =>
    `“${f.entity}” is a shape this cutter does not know. It cuts lines, polylines, arcs and circles.`,
  'machine-layer': ({ f }) => `“${f.layer}” is not one of the layers SCORE, BEVEL and OUTLINE.`,
  'machine-bed': ({ f }) => `The drawing reaches ${f.w} × ${f.h} mm; the bed is ${f.bedW} × ${f.bedH} mm.`,
  'machine-open': ({ f }) => `A cut on ${f.layer} does not close: its ends are ${f.gap} mm apart.`,
  'machine-outside': ({ f }) => `A cut on ${f.layer} lies outside the outline of the board.`,
  'machine-no-outline': () => 'There is no OUTLINE, so the cutter does not know where the board ends.',
  'machine-number': ({ f }) => `“${f.read}” is not a measure.`,
  'mat-no-window': ({ f }) => `${f.ticket} has no mat with a window to cut.`,
};
