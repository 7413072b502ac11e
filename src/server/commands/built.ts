/** What the bench measures and notices: the wood as it came out, and a package that was opened once more. */
import { builtIssues, measurable } from '@/core/jobs/as-built';
import { resultOf } from '@/core/agreed';
import { bad, good, issue } from '@/core/issue';
import { agreedOf, insertEvent, setBuilt, touchJob } from '@/db/queries/jobs';
import type { Handler } from '../door';
import { freshJob, told } from './bench';

export const recordBuilt: Handler<'record-built'> = async (tx, { jobId, revision, built }, { now, by }) => {
  const found = await freshJob(tx, jobId, revision);
  if (!found.ok) return found;
  const { job } = found.value;
  const agreed = await agreedOf(tx, jobId);
  if (!agreed) return bad(issue('job-unknown'));
  const worked = resultOf(agreed);
  const may: readonly string[] = [...measurable(worked), 'beyond'];
  const strange = Object.keys(built).find((key) => !may.includes(key));
  if (strange) return bad(issue('built-not-here', {}, strange));
  const wrong = builtIssues(built, worked);
  if (wrong.length > 0) return bad(...wrong);
  await setBuilt(tx, jobId, built);
  await insertEvent(tx, jobId, { at: now, by, what: 'measured', step: null, detail: built });
  const done = told(job, 'measured', job.built, built);
  // Parts that are not cut yet are of another size now.
  return done.ok ? good({ ...done.value, touched: [...done.value.touched, 'rack'] }) : done;
};

export const openAgain: Handler<'open-again'> = async (tx, { jobId, revision, why }, { now, by }) => {
  const found = await freshJob(tx, jobId, revision);
  if (!found.ok) return found;
  const { job, steps } = found.value;
  if (!steps.some(({ step }) => step === 'fit')) return bad(issue('step-elsewhere', { step: 'fit' }));
  await touchJob(tx, jobId);
  await insertEvent(tx, jobId, { at: now, by, what: 'opened', step: 'fit', detail: { why } });
  return told(job, 'opened again', null, { why });
};
