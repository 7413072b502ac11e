/** The mats of a job as files for a cutting machine. */
import { type MatFile, matFile } from '@/core/mat-cut/paths';
import { agreedOf, jobByTicket } from '@/db/queries/jobs';
import type { Queries } from '@/db/client';

export async function matFiles(db: Queries, ticket: string): Promise<MatFile[] | undefined> {
  const job = await jobByTicket(db, ticket);
  const worked = job && (await agreedOf(db, job.id));
  if (!worked) return undefined;
  const boards = worked.parts.filter((part) => part.kind === 'flat');
  return boards.flatMap((part) => matFile(part, `${ticket} ${part.name}`) ?? []);
}
