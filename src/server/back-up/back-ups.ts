/** The back-ups of a shop that runs: made when asked and each night, one at a time, so many kept. */
import fs from 'node:fs';
import path from 'node:path';
import type { ShopSettings } from '@/contract/settings';
import type { BackUpView } from '@/contract/views';
import { type Outcome, bad, good, issue } from '@/core/issue';
import type { Db } from '@/db/client';
import type { Clock } from '../clock';
import { makeArchive } from './archive';

export interface BackUps {
  /** Those in the shop's own folder, the newest first. */
  list(): Promise<BackUpView[]>;
  /** Whether one is being made. */
  making(): boolean;
  /** Makes one: in the shop's own folder, where only so many are kept, or in `file`. */
  make(file?: string): Promise<Outcome<BackUpView>>;
  /** Deletes what a program that was killed left half made: copies of the database, with the key in them. At start. */
  sweep(): void;
  /** Makes the nightly one when it is due; answers what came of it. */
  nightly(settings: ShopSettings): Promise<Outcome<BackUpView> | undefined>;
}

const NAME = /^lopren-(\d{4})-(\d{2})-(\d{2})-(\d{2})(\d{2})(\d{2})\.tar\.gz$/;
/** What is being made goes by these names. */
const HALF = /^\.making-\w{6}$|^lopren-[\d-]+\.tar\.gz\.making$/;
const two = (value: number) => String(value).padStart(2, '0');
/** By the clock of this computer, so that names are in order of time. */
export const nameAt = (at: Date): string =>
  `lopren-${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}-` +
  `${two(at.getHours())}${two(at.getMinutes())}${two(at.getSeconds())}.tar.gz`;
function timeIn(name: string): Date | undefined {
  const parts = NAME.exec(name)?.slice(1).map(Number);
  return parts && new Date(parts[0]!, parts[1]! - 1, parts[2], parts[3], parts[4], parts[5]);
}

/** When the latest nightly back-up should have been made. */
export function lastDue(now: Date, hour: number): Date {
  const due = new Date(now.getFullYear(), now.getMonth(), now.getDate(), hour);
  if (due > now) due.setDate(due.getDate() - 1);
  return due;
}

/** After one that failed, the next is tried when so many ms are over. */
const AGAIN_MS = 3_600_000;

export function backUpsOf(folder: string, db: Db, clock: Clock, kept: () => Promise<ShopSettings>): BackUps {
  const place = path.join(/*turbopackIgnore: true*/ folder, 'back-ups');
  let busy = false;
  let notBefore = 0;
  const list = async (): Promise<BackUpView[]> => {
    const names = fs.existsSync(place) ? fs.readdirSync(place).filter((name) => NAME.test(name)) : [];
    return names
      .sort()
      .reverse()
      .map((name) => ({
        name,
        at: timeIn(name)!.toISOString(),
        bytes: fs.statSync(path.join(/*turbopackIgnore: true*/ place, name)).size,
      }));
  };
  const prune = async () => {
    const { backUpsKept } = await kept();
    for (const { name } of (await list()).slice(backUpsKept))
      fs.rmSync(path.join(/*turbopackIgnore: true*/ place, name), { force: true });
  };
  const make = async (file?: string): Promise<Outcome<BackUpView>> => {
    if (busy) return bad(issue('back-up-running'));
    busy = true;
    try {
      const at = clock.now();
      const into = file ?? path.join(/*turbopackIgnore: true*/ place, nameAt(at));
      const made = await makeArchive({ folder, file: into, copyIn: place, at, hold: (work) => db.hold(work) });
      if (!made.ok) return made;
      if (file === undefined) await prune();
      return good({ name: path.basename(into), at: at.toISOString(), bytes: made.value.bytes });
    } catch (error) {
      return bad(issue('back-up-failed', { reason: error instanceof Error ? error.message.slice(0, 300) : 'unknown' }));
    } finally {
      busy = false;
    }
  };
  const sweep = () => {
    for (const name of fs.existsSync(place) ? fs.readdirSync(place) : [])
      if (HALF.test(name))
        fs.rmSync(path.join(/*turbopackIgnore: true*/ place, name), { recursive: true, force: true });
  };
  const nightly: BackUps['nightly'] = async ({ backUpNightly, backUpHour }) => {
    const now = clock.now();
    if (!backUpNightly || now.getTime() < notBefore) return undefined;
    const newest = (await list())[0];
    if (newest && new Date(newest.at) >= lastDue(now, backUpHour)) return undefined;
    const made = await make();
    notBefore = made.ok ? 0 : now.getTime() + AGAIN_MS;
    return made;
  };
  return { list, making: () => busy, make, sweep, nightly };
}
