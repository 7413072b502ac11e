/** What a plan is held against: every job cut by itself. It searches, so it belongs on the server. */
import type { Pausing } from '../pausing';
import { jobsOfSheets, jobsOfSticks } from './engine';
import type { CutRequests } from './plan-request';
import type { SheetsRequest, SticksRequest } from './request';
import { SheetSearch } from './sheets/search';
import { StickSearch } from './sticks/search';

/** Cents, for all sticks and for all sheets. */
export interface Apart {
  readonly sticks: number;
  readonly sheets: number;
}

/** What it would cost to cut frame by frame and part by part, each from new material, its offcuts kept. */
export function* jobByJob({ sticks, sheets }: CutRequests): Pausing<Apart> {
  const profiles = sticks.profiles.map((one) => ({ ...one, rack: [] }));
  const materials = sheets.materials.map((one) => ({ ...one, rack: [] }));
  const ofFrame = (frame: SticksRequest['frames'][number]) =>
    jobsOfSticks({ ...sticks, profiles, frames: [frame] }).reduce(
      (sum, job) => sum + (job.kind === 'sticks' ? new StickSearch(job.task, 1).best.cost : 0),
      0,
    );
  const ofParts = (parts: SheetsRequest['parts']) =>
    jobsOfSheets({ ...sheets, materials, parts }).reduce(
      (sum, job) => sum + (job.kind === 'sheets' ? new SheetSearch(job.task, 1).best.cost : 0),
      0,
    );
  const byTicket = new Map<string, SheetsRequest['parts'][number][]>();
  for (const part of sheets.parts) {
    const key = `${part.material} ${part.id.split(' ')[0]}`;
    byTicket.set(key, [...(byTicket.get(key) ?? []), part]);
  }
  let apart: Apart = { sticks: 0, sheets: 0 };
  for (const frame of sticks.frames) {
    apart = { ...apart, sticks: apart.sticks + ofFrame(frame) };
    yield;
  }
  for (const parts of byTicket.values()) {
    apart = { ...apart, sheets: apart.sheets + ofParts(parts) };
    yield;
  }
  return apart;
}
