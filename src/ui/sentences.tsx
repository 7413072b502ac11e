'use client';
/** Issues in words. By itself, since the words are only fetched where something is wrong. */
import type { Issue } from '@/core/issue';
import { sayIssue } from '@/words/issues';
import { TROUBLE } from '@/words/screens/trouble';
import { FractionText } from './figures';
import { useUnit } from './units';

const SHOWN = 6;

export function Sentences({ issues }: { issues: readonly Issue[] }) {
  const { unit } = useUnit();
  return issues.slice(0, SHOWN).map((one, index) => (
    <p key={index}>
      <FractionText text={sayIssue(one, unit)} />
      {one.code === 'till-closed' && (
        <>
          {' '}
          <a href="/till">{TROUBLE.openTill}</a>
        </>
      )}
    </p>
  ));
}
