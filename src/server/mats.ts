/** The mats of a job as files for a cutting machine. */
import { type MatFile, matFile } from '@/core/mat-cut/paths';
import type { Settings } from '@/core/settings';
import { agreedOf, jobByTicket, stepsOf } from '@/db/queries/jobs';
import { asBuiltOf } from './as-built';
import type { Queries } from '@/db/client';

export async function matFiles(db: Queries, ticket: string, settings: Settings): Promise<MatFile[] | undefined> {
  const job = await jobByTicket(db, ticket);
  const agreed = job && (await agreedOf(db, job.id));
  if (!agreed) return undefined;
  const { worked } = asBuiltOf(job, agreed, await stepsOf(db, job.id), settings);
  const boards = worked.parts.filter((part) => part.kind === 'flat');
  return boards.flatMap((part) => matFile(part, `${ticket} ${part.name}`) ?? []);
}
