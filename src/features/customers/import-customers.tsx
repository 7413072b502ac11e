'use client';
/** A list of customers from a file: all of it, or what stands in its way row by row. */
import { useState } from 'react';
import { LARGEST_LIST } from '@/contract/limits';
import type { Issue } from '@/core/issue';
import { FileButton } from '@/ui/file-button';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { CUSTOMERS } from '@/words/screens/customers';
import styles from './customers.module.css';

export function ImportCustomers() {
  const { run, busy, issues } = useCommand<'import-customers', { added: number; changed: number }>('import-customers');
  const [large, setLarge] = useState<readonly Issue[]>([]);
  const [said, setSaid] = useState('');
  const take = async (file: File) => {
    setSaid('');
    setLarge([]);
    if (file.size > LARGEST_LIST)
      return setLarge([{ code: 'body-too-large', figures: { most: `${LARGEST_LIST / 1e6} MB` } }]);
    const answer = await run({ text: await file.text(), file: file.name.slice(0, 200) });
    if (answer.ok) setSaid(CUSTOMERS.taken(answer.value.added, answer.value.changed));
  };
  return (
    <div className={styles.import}>
      <p className="soft">{CUSTOMERS.columns}</p>
      <FileButton label={CUSTOMERS.import} accept=".csv,text/csv" disabled={busy} onFile={(file) => void take(file)}>
        {CUSTOMERS.import}
      </FileButton>
      <p role="status">{said}</p>
      <Trouble issues={[...large, ...issues]} />
    </div>
  );
}
